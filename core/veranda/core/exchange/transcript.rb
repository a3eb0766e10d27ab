# frozen_string_literal: true

require 'csv'
require 'time'

module Veranda
  module Core
    module Exchange
      # What was written in a class, to be kept outside of Veranda: as plain text, as CSV for spreadsheets, or as WebVTT beside a recording.
      #
      #   Transcript.new(rows, title: 'Collision rules', from: opened_at).vtt
      #
      # Posts that were deleted are left out.
      class Transcript
        FORMATS = %w[txt csv vtt].freeze
        HEAD = %w[time from to text].freeze
        # ms that a cue stays, for each character, at least and at most.
        PER_CHARACTER = 60
        STAYS = (2_000..8_000)

        # @param streams [Array<Hash>] `{ posts:, people:, staff:, room: }`: posts with whom they were for, see {Thread}; `people` is nil
        #   for all, or for all who were in a `room`
        # @param title [String]
        # @param from [Integer] ms since the epoch that the times of text and WebVTT count from
        def initialize(streams, title:, from:)
          @title = title
          @from = from
          @posts = streams.flat_map { |stream| stream[:posts].filter_map { |post| row(post, stream) unless post[:deleted_by] } }
                          .sort_by { |row| row[:at] }
        end

        # @param format [String] one of {FORMATS}
        # @return [String]
        def to(format) = public_send(format)

        # @return [String] a line for each post, those of several lines indented
        def txt
          lines = @posts.map { |post| "#{clock(post[:at])}  #{post[:name]} to #{post[:to]}: #{post[:text].gsub(/\R/, "\n          ")}" }
          [@title, '', *lines, ''].join("\n")
        end

        # @return [String] RFC 4180; no cell is taken for a formula
        def csv
          CSV.generate(row_sep: "\r\n") do |csv|
            csv << HEAD
            @posts.each do |post|
              cells = post.values_at(:name, :to, :text).map { |cell| Cell.plain(cell) }
              csv << [Time.at(post[:at]/1000r).utc.iso8601, *cells]
            end
          end
        end

        # @return [String] W3C WebVTT, a cue for each post
        def vtt
          cues = @posts.map do |post|
            from = [post[:at] - @from, 0].max
            stays = (post[:text].length * PER_CHARACTER).clamp(STAYS)
            "#{stamp(from)} --> #{stamp(from + stays)}\n<v #{escape(post[:name])}>#{escape(post[:text])}\n"
          end
          ["WEBVTT\n", *cues].join("\n")
        end

        private

        def row(post, stream)
          text = [post[:text], *('(a file)' if post[:file])].reject(&:empty?).join(' ')
          { at: post[:at], name: post[:name], text: text, to: whom(stream, post[:by]) }
        end

        def whom(stream, author)
          return stream[:room] || 'everyone' unless stream[:people]

          names = stream[:people].reject { |one| one[:id] == author }.map { |one| one[:name] }
          [*names, *('staff' if stream[:staff])].join(', ')
        end

        # Since it began: nobody knows here what time it is where this is read.
        def clock(at) = stamp([at - @from, 0].max)[0, 8]

        def stamp(ms) = format('%02d:%02d:%02d.%03d', ms / 3_600_000, ms / 60_000 % 60, ms / 1000 % 60, ms % 1000)

        # A cue ends with an empty line and knows tags and entities.
        def escape(text) = text.gsub('&', '&amp;').gsub('<', '&lt;').gsub('>', '&gt;').gsub(/\s*\R\s*/, "\n").strip
      end
    end
  end
end
