# frozen_string_literal: true

module Veranda
  module Stage
    # What everybody in a media room sends, as the media server tells it.
    class Feeds
      Track = Struct.new(:mid, :kind, :muted, keyword_init: true)

      KINDS = { sound: 'audio', picture: 'video' }.freeze
      # Pictures that are sent to somebody at once.
      MOST_PICTURES = 6

      def initialize
        @people = {}
        @talked = []
        @talk = {}
        @ears = []
      end

      # @param facts [Hash] `{ publishers:, attendees: }` as told on coming in
      def begin_with(facts)
        add(facts[:publishers] || [])
        (facts[:attendees] || []).each { |row| comes(row[:id]) }
      end

      # @return [Array<String>] who hears what is said here without being here
      def heard_by = @ears.map { |name| Ear.person(name) }

      # @param publishers [Array<Hash>] as told on coming in, or when somebody begins
      def add(publishers)
        publishers.each do |row|
          talking(row[:id], true) if row[:talking] || row[:streams]&.any? { |one| one[:talking] }
          @people[row[:id]] = (row[:streams] || []).reject { |one| one[:disabled] }.map do |one|
            Track.new(mid: one[:mid], kind: one[:type], muted: one[:moderated] ? true : false)
          end
        end
      end

      # @param data [Hash] what the media server tells of the room by itself
      # @return [Symbol, nil] `:talk` or `:changed`; `:over` when the room was taken away; nil when it is nothing new
      def hear(data)
        case data
        in { videoroom: 'talking' | 'stopped-talking' => kind, id: person }
          talking(person, kind == 'talking')
          return :talk
        in { videoroom: 'destroyed' } then return :over
        in { videoroom: 'event', publishers: [_, *] => publishers } then add(publishers)
        in { videoroom: 'event', joining: { id: name } } then comes(name) or return
        in { videoroom: 'event', moderation: kind, id: person, mid: mid } then moderated(person, mid, kind == 'muted')
        in { videoroom: 'event' } then remove(data.values_at(:unpublished, :leaving, :kicked).compact.first) or return
        else return
        end
        :changed
      end

      # @return [Array<String>] who speaks just now
      def speaking = @talk.keys

      # @return [Array<Hash>] `{ id:, sound:, picture: }` of everybody who sends something themselves
      def to_a
        @people.reject { |id, _| screen?(id) }.map do |id, tracks|
          { id: id, **KINDS.transform_values { |kind| tracks.any? { |one| on?(one, kind) } } }
        end
      end

      # @param looked_at [Array<String>] people whose pictures somebody wishes to see
      # @param pictures [Boolean] whether they wish to see any at all
      # @param most [Integer] of people, besides screens
      # @param without [String, nil] id of somebody of whom nothing is sent: themselves
      # @return [Array<Array(String, String)>] name and mid of all that should be sent to somebody: every sound, screens, and some pictures
      def wanted(looked_at, pictures: true, most: MOST_PICTURES, without: nil)
        sounds = tracks('audio').reject { |name, _| of?(name, without) }
        return sounds.map { |name, track| [name, track.mid] } unless pictures

        pictures = tracks('video').select { |name, track| on?(track, 'video') && !of?(name, without) }
        order = (@talked.first(1) + looked_at + @talked + @people.keys).uniq
        screens, pictures = pictures.partition { |name, _| screen?(name) }
        chosen = pictures.sort_by { |person, _| order.index(person) }.first(most)
        (sounds + screens + chosen).map { |person, track| [person, track.mid] }
      end

      private

      # @return [Boolean] whether they were known
      def remove(person)
        return false unless person

        return true if @ears.delete(person)

        talking(person, false)
        !@people.delete(person).nil?
      end

      # @return [Boolean] whether it is somebody of whom the others should know
      def comes(name)
        return false unless Ear.ear?(name)

        @ears |= [name]
        true
      end

      def moderated(person, mid, muted)
        track = @people[person]&.find { |one| one.mid == mid } or return
        @talk.delete(person) if muted && track.kind == 'audio'
        track.muted = muted
      end

      # Who speaks comes to the front of those whose pictures are sent.
      def talking(person, talks)
        return if screen?(person)

        @talked.delete(person)
        @talked.unshift(person) if talks
        talks ? @talk[person] = true : @talk.delete(person)
      end

      def of?(name, person) = Core::Recordings::ScreenName.person(name) == person
      def screen?(name) = Core::Recordings::ScreenName.screen?(name)
      def on?(track, kind) = track.kind == kind && !track.muted
      def tracks(kind) = @people.flat_map { |person, tracks| tracks.select { |one| one.kind == kind }.map { |one| [person, one] } }
    end
  end
end
