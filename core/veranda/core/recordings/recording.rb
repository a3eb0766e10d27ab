# frozen_string_literal: true

require 'set'

module Veranda
  module Core
    module Recordings
      # What of a class was recorded: which stretch of which streams, and its chapters.
      class Recording
        # @param sitting [Sittings::Sitting] an ended class
        # @param cuts [Array<Array(Integer, Integer)>] ms since the epoch
        def initialize(sitting, cuts: [])
          @sitting = sitting
          @cuts = cuts
        end

        # @return [Boolean] false when nobody ever switched the recording on
        def any? = @sitting.stretches.any?

        # @return [Clock]
        def clock
          @clock ||= Clock.new(@sitting.stretches.map { |stretch| stretch.values_at(:from, :to) }, cuts: @cuts)
        end

        # @return [Array<String>] names of streams, see {Access.recorded}
        def streams = Access.recorded(@sitting)

        # Chapters begin where the class moved to another step. Those that were cut out
        # whole are left out.
        # @return [Array<Hash>] `{ title:, from:, to: }` in ms of the recording
        def chapters
          starts = @sitting.moves.map { |move| [clock.time(move[:at]), @sitting.step_by_id(move[:step])[:title]] }
          return [] if starts.empty?

          starts[0] = [0, starts[0][1]]
          ends = starts.drop(1).map(&:first) << clock.length
          starts.zip(ends).filter_map { |(from, title), to| { title: title, from: from, to: to } if to > from }
        end

        # Kinds of entries that tell who came and went, and those that only count while they are seen or heard.
        PRESENCE = %w[joined seated out dropped left].freeze
        PASSING = %w[pointed posted spoke].freeze

        # What may be shown of an entry, placed in recording time. What changed while nothing was recorded is shown when the
        # recording goes on; what was only said or pointed at is not.
        # @param entry [Streams::Entry]
        # @param deleted [Set<String>] ids of posts that were deleted later on
        # @param people [Set<String>] who was there while it was recorded
        # @return [Hash, nil] nil when it is no part of the recording
        def place(entry, deleted:, people:)
          return if PASSING.include?(entry.kind) && !clock.covers?(entry.at)
          return if entry.kind == 'posted' && deleted.include?(entry.body[:id])

          body = PRESENCE.include?(entry.kind) ? presence(entry, people) : entry.body
          body && { stream: entry.stream, seq: entry.seq, t: clock.time(entry.at), at: entry.at, by: entry.actor,
                    kind: entry.kind, body: body }
        end

        # Sounds and pictures of which any moment can be seen.
        # @param tracks [Array<Hash>] `{ place:, began_at:, length: }`, ms
        # @param rooms [Array<String>] ids of breakout rooms that somebody may hear, besides the main room
        # @return [Array<Hash>] those that are part of the recording
        def tracks(tracks, rooms: [])
          tracks.select do |track|
            from, length = track.values_at(:began_at, :length)
            [Sittings::Places::MAIN, *rooms].include?(track[:place]) && clock.overlaps?(from, from + length)
          end
        end

        # @param posts [Array<Hash>]
        # @return [Array<Hash>] those that are part of the recording
        def posts(posts, deleted:)
          posts.select { |post| clock.covers?(post[:at]) && !post[:deleted_by] && !deleted.include?(post[:id]) }
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

        # @param since [Hash{String => Integer}] when those who are there came; changed in place
        # @return [Array<Array(String, Integer, Integer)>] person, from and to
        def stays_ended_by(entry, since)
          case entry.kind
          when 'joined' then entry.body[:people].each { |person| since[person[:id]] ||= entry.at }
          when 'left', 'dropped', 'out'
            gone = entry.body[:people] || [entry.actor]
            return gone.filter_map { |person| since.delete(person)&.then { |from| [person, from, entry.at] } }
          end
          []
        end

        def presence(entry, people)
          return (entry.body if people.include?(entry.actor)) unless entry.body[:people]

          id = ->(person) { person.is_a?(Hash) ? person[:id] : person }
          known = entry.body[:people].select { |person| people.include?(id.call(person)) }
          entry.body.merge(people: known) if known.any?
        end
      end
    end
  end
end
