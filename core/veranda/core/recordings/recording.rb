# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # What of a class is to be watched: which stretches of which streams, and its chapters. What may be shown of each thing in it is
      # for {Shown}.
      class Recording
        FOREVER = 1 << 53
        private_constant :FOREVER

        # @return [Sittings::Sitting]
        attr_reader :sitting
        # @return [Edits]
        attr_reader :edits

        # @param sitting [Sittings::Sitting] an ended class
        # @param edits [Edits]
        # @param more_cuts [Array<Array(Integer, Integer)>] for this once: that are only considered, or hidden from somebody
        def initialize(sitting, edits: Edits.new, more_cuts: [])
          @sitting = sitting
          @edits = edits
          @more_cuts = more_cuts
        end

        # @return [Boolean] false when nobody ever switched the recording on, nor added anything
        def any? = recorded.any?

        # @return [Clock]
        def clock = @clock ||= Clock.new(recorded, cuts: cuts)

        # @return [Array<Array(Integer, Integer)>] all that is not to be seen of it
        def cuts = edits.cuts + @more_cuts

        # @return [Boolean] whether that moment was cut out
        def cut?(at) = clock.cut?(at)

        # @param from [Integer, nil] ms since the epoch
        # @param to [Integer, nil]
        # @return [Recording] that shows only this stretch
        def only(from, to)
          Recording.new(@sitting, edits: edits, more_cuts: [([0, from] if from), ([to, FOREVER] if to)].compact)
        end

        # @return [Array<String>] names of streams, see {Access.recorded}
        def streams = Access.recorded(@sitting)

        # Chapters begin where the class moved to another step, or where somebody said so afterwards. Those that were cut out whole are
        # left out.
        # @return [Array<Hash>] `{ title:, from:, to:, at: }`, `from` and `to` in ms of the recording, `at` the time of day
        def chapters
          starts = beginnings.sort.map { |at, title| [clock.time(at), title, at] }
          return [] if starts.empty?

          starts[0] = [0, *starts[0].drop(1)]
          ends = starts.drop(1).map(&:first) << clock.length
          starts.zip(ends).filter_map { |(from, title, at), to| { title: title, from: from, to: to, at: at } if to > from }
        end

        # @param tracks [Array<Hash>] `{ place:, person_id:, began_at:, length: }`, ms
        # @param rooms [Array<String>] ids of breakout rooms that somebody may hear, besides the main room
        # @return [Array<Hash>] sounds and pictures of which any moment may be heard or seen
        def tracks(tracks, rooms: [])
          tracks.select do |track|
            from, length = track.values_at(:began_at, :length)
            [Sittings::Places::MAIN, *rooms].include?(track[:place]) && clock.overlaps?(from, from + length) &&
              !edits.left_out.include?(ScreenName.person(track[:person_id]))
          end
        end

        # @param track [Hash] `{ began_at:, length: }`
        # @return [Array<Array(Integer, Integer)>] what is left of it after cutting, from and to; all of it where nothing was cut
        def left_of(track)
          Clock.new([[track[:began_at], track[:began_at] + track[:length]]], cuts: cuts).stretches
        end

        # @param post [Hash]
        # @return [Boolean] whether it is part of the recording
        def post?(post)
          clock.covers?(post[:at]) && !post[:deleted_by] && !edits.blank?(post[:at]) && !edits.left_out.include?(post[:by])
        end

        # @param entries [Array<Streams::Entry>] of a poll
        # @return [Boolean] whether any of it happened outside of what was cut
        def poll?(entries) = entries.any? { |entry| !cut?(entry.at) }

        # Kinds of entries after which something plays, or nothing any more.
        CLIPS = ['clip_on', 'clip_off', Streams::Fold::STOOD].freeze

        # @param entries [Array<Streams::Entry>] of these kinds in one place, in order
        # @return [Array<Hash>] what was played at any moment of the recording
        def clips(entries)
          ends = entries.drop(1).map(&:at) << @sitting.ended_at
          entries.zip(ends).filter_map { |entry, over| played(entry) if clock.overlaps?(entry.at, over) }
        end

        # @param entries [Array<Streams::Entry>] of the class
        # @return [Set<String>] ids of everyone who was there at any recorded moment
        def people(entries)
          since = {}
          stays = entries.flat_map { |entry| stays_ended_by(entry, since) }
          stays += since.map { |person, from| [person, from, Float::INFINITY] }
          stays.select { |_, from, to| clock.overlaps?(from, to) }.to_set(&:first)
        end

        private

        def played(entry)
          case entry.kind
          when 'clip_on' then entry.body
          when Streams::Fold::STOOD then entry.body.dig(:view, :clip)
          end
        end

        # @return [Array<Array(Integer, Integer)>] in order, not overlapping
        def recorded
          all = @sitting.stretches.map { |stretch| [stretch[:from], stretch[:to] || @sitting.ended_at] } + edits.stretches
          all.sort.each_with_object([]) do |(from, to), joined|
            joined.any? && from <= joined.last[1] ? joined.last[1] = [joined.last[1], to].max : joined << [from, to]
          end
        end

        # @return [Hash{Integer => String}] titles by the time of day
        def beginnings
          steps = @sitting.moves.to_h { |move| [move[:at], @sitting.step_by_id(move[:step])[:title]] }
          steps.merge(edits.chapters).compact
        end

        # @param since [Hash{String => Integer}] when those who are there came; changed in place
        # @return [Array<Array(String, Integer, Integer)>] person, from and to
        def stays_ended_by(entry, since)
          case entry.kind
          when 'joined' then entry.body[:people].each { |person| since[person[:id]] ||= entry.at }
          when Streams::Fold::STOOD then entry.body[:view][:seats].each { |seat| since[seat[:id]] ||= entry.at }
          when 'left', 'dropped', 'out'
            gone = entry.body[:people] || [entry.actor]
            return gone.filter_map { |person| since.delete(person)&.then { |from| [person, from, entry.at] } }
          end
          []
        end
      end
    end
  end
end
