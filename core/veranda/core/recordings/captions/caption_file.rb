# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Reads captions as others write them: WebVTT (https://www.w3.org/TR/webvtt1/) and SubRip, in whichever encoding. What can be
      # understood is taken; of the rest it is said in which line it was, and why.
      #
      #   cues, problems = CaptionFile.new("WEBVTT\n\n00:01.000 --> 00:03.000\nGood evening").read
      #   cues.first.words #=> "Good evening"
      class CaptionFile
        # Bytes.
        BIGGEST = 3_000_000
        # That are told.
        MOST_PROBLEMS = 20
        TIME = /(?:(\d{1,3}):)?(\d{1,2}):(\d{1,2})[.,](\d{1,3})/
        TIMES = /\A\s*#{TIME}\s*-->\s*#{TIME}(?:\s.*)?\z/
        # Marks within a line: classes, voices, times (WebVTT, 3.3); fonts, italics (SubRip).
        MARKS = %r{</?[^<>]{0,200}>|\{\\[^{}]{0,80}\}}
        ENTITIES = { '&amp;' => '&', '&lt;' => '<', '&gt;' => '>', '&nbsp;' => ' ', '&lrm;' => '', '&rlm;' => '' }.freeze

        # @param bytes [String]
        # @raise [Refusal] `too_big`
        def initialize(bytes)
          if bytes.bytesize > BIGGEST
            raise Refusal.new(:too_big,
                              'This file is too long for captions. A class of three hours takes some 300 kB.')
          end

          @text = text_of(bytes.b)
          @problems = []
        end

        # @return [Array(Array<Cue>, Array<Hash>)] cues in order of time, and `{ line:, says: }` of what was left out
        # @raise [Refusal] `no_captions`
        def read
          cues = blocks.filter_map { |number, lines| cue(number, lines) }.sort_by.with_index { |cue, i| [cue.from, i] }
          none! if cues.empty?
          problem(0, "More than #{Cue::MOST} lines: the rest was left out.") if cues.length > Cue::MOST
          [cues.first(Cue::MOST), @problems.first(MOST_PROBLEMS)]
        end

        private

        def none!
          why = @problems.first&.then { |one| " Line #{one[:line]}: #{one[:says]}" }
          raise Refusal.new(:no_captions, "There are no captions in this file. WebVTT and SRT can be read.#{why}")
        end

        # By its first bytes (Unicode 15, 23.8); else as what old programs on desks wrote.
        def text_of(bytes)
          encoding = { "\xFF\xFE".b => Encoding::UTF_16LE, "\xFE\xFF".b => Encoding::UTF_16BE }[bytes[0, 2]] || Encoding::UTF_8
          text = bytes.dup.force_encoding(encoding)
          text = bytes.dup.force_encoding(Encoding::Windows_1252) if encoding == Encoding::UTF_8 && !text.valid_encoding?
          text.encode(Encoding::UTF_8, invalid: :replace, undef: :replace).delete_prefix("\uFEFF").delete("\0").gsub(/\r\n?/, "\n")
        end

        # @return [Array<Array(Integer, Array<String>)>] what stands between empty lines, with the number of its first line
        def blocks
          @text.split("\n").each_with_index.slice_when { |(a, _), (b, _)| a.strip.empty? != b.strip.empty? }
               .reject { |rows| rows.first.first.strip.empty? }.map { |rows| [rows.first.last + 1, rows.map(&:first)] }
        end

        def cue(number, lines)
          # A header, a style, a note.
          at = lines.index { |line| line.include?('-->') } or return (problem(number, 'No time.') unless aside?(lines.first))
          from, to = times(lines[at]) || (return problem(number + at, 'The time cannot be read.'))
          return problem(number + at, 'It ends before it begins.') if to <= from

          words = words(lines.drop(at + 1))
          words.empty? ? nil : Cue.new(from: from, to: to, words: words)
        end

        def aside?(line) = line.match?(/\A(WEBVTT|NOTE|STYLE|REGION)/) || line.strip.match?(/\A\d+\z/)

        # @return [Array(Integer, Integer), nil] ms
        def times(line)
          parts = TIMES.match(line)&.captures or return
          parts.each_slice(4).map { |h, m, s, ms| ((((h.to_i * 60) + m.to_i) * 60) + s.to_i) * 1000 + ms.ljust(3, '0').to_i }
        end

        def words(lines)
          text = lines.map(&:strip).join("\n").gsub(MARKS, '').gsub(/&(?:amp|lt|gt|nbsp|lrm|rlm);/, ENTITIES)
          text.gsub(/[\p{Cc}&&[^\n]]/, '').strip[0, Cue::LONGEST]
        end

        def problem(line, says)
          @problems << { line: line, says: says }
          nil
        end
      end
    end
  end
end
