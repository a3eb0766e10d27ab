# frozen_string_literal: true

module Veranda
  module Preparing
    # One person who reads something outside of the live class: gathers what is known of them and asks {Core::Access}. Every
    # resource goes through this.
    class Reader
      # @param archive [Store::Archive]
      # @param person [Hash, nil] `{ id:, name:, stand_in: }`; nil for nobody
      # @param watches [#call] whether they hold a good link to the recording of a class, by its id
      # @param stretch [#call] what of it such a link shows, see {Http::Visitor#stretch}
      # @param slides [#call] material, version and slide of all that boards show in a recording, by the id of the class and such a
      #   stretch; without it no recording opens any
      def initialize(archive, person, watches: ->(_) { false }, stretch: ->(_) {}, slides: ->(_, _) { [] })
        @archive = archive
        @person = person
        @watches = watches
        @stretch = stretch
        @slides = slides
      end

      # @param lesson [Hash]
      # @return [Core::Person, nil] the person in their role there
      def in_lesson(lesson)
        return unless @person

        @roles ||= {}
        @roles.fetch(lesson[:id]) do |id|
          role = role(lesson)
          @roles[id] = role && Core::Person.new(id: @person[:id], name: @person[:name], role: role)
        end
      end

      # @param row [Hash] of the board
      # @param lesson [Hash] that it belongs to
      def board?(row, lesson = @archive.lessons.fetch(row[:lesson_id]))
        person = in_lesson(lesson)
        return room_board?(person, row) if row[:room_id] && !person&.staff?

        out = !person.nil? && turned_out?(lesson[:id])
        Core::Access.board?(person, row, turned_out: out) || (!out && Core::Access.board?(person, row, taught: taught?(lesson[:id])))
      end

      # @param row [Hash] a recording, as from {Store::Recordings#fetch}
      # @param lesson [Hash]
      # @return [Boolean] whether they may watch all of it, and not only what a link shows
      def whole_recording?(row, lesson = @archive.lessons.fetch(row[:lesson_id]))
        Core::Access.recording?(in_lesson(lesson), shared: row[:shared], link: false, rehearsal: row[:rehearsal])
      end

      # @param row [Hash] a recording, as from {Store::Recordings#fetch}
      # @param lesson [Hash]
      def recording?(row, lesson = @archive.lessons.fetch(row[:lesson_id]))
        Core::Access.recording?(in_lesson(lesson), shared: row[:shared], link: @watches.call(row[:sitting_id]), rehearsal: row[:rehearsal])
      end

      # @param ids [Array<String>] of materials
      # @return [Boolean] whether all of them may be seen
      def slides?(ids) = ids.all? { |id| (material = @archive.materials.find_all([id]).first) && slide?(material) }

      # @param material [Hash]
      # @param version [Integer]
      # @param slide [Integer, nil] one of them; any without it
      def slide?(material, version: material[:version], slide: nil)
        Core::Access.slide?(teaches: teaches?(material)) || Core::Access.slide?(teaches: false, **seen(material, version, slide))
      end

      # @param material [Hash]
      # @param kind [String] of the version that is asked for
      # @param version [Integer] the one that is asked for
      def original?(material, kind, version: material[:version])
        teaches = teaches?(material)
        Core::Access.original?(kind: kind, teaches: teaches, **(teaches ? {} : seen(material, version)))
      end

      private

      # In class and after it, who reads a room's board is told by the streams of that class.
      def room_board?(person, row)
        return false unless person

        names = Core::Streams::StreamName
        states = [names.sitting(row[:sitting_id]), names.staff(row[:sitting_id])].map { |name| @archive.log.state(name).first }
        Core::Access::InClass.new(person, *states).reads?(names.board(row[:id]))
      end

      def courses = @courses ||= @person ? @archive.people.courses(@person[:id]) : {}

      def role(lesson)
        return 'stand_in' if @person[:stand_in]

        courses[lesson[:course_id]] || ('guest' if @archive.people.guest?(lesson[:id], @person[:id]))
      end

      # What was posted in a class is on nobody's shelf.
      def teaches?(material) = material[:sitting_id].nil? && Core::Person::STAFF.include?(courses[material[:course_id]])

      # What was posted is the first version; what staff bring in its place once it is on the shelf was posted nowhere.
      FIRST = 1
      private_constant :FIRST

      def seen(material, version, slide = nil)
        rows = @archive.materials.shown_on(material[:id])
        boards = rows.any? { |row| board?(row, { id: row[:lesson_id], course_id: row[:course_id] }) }
        { boards: boards, recorded: !boards && recorded?(rows, [material[:id], version, slide]),
          posted: version == FIRST && posted?(material), welcomes: welcomes?(material), asked: asked?(material) }
      end

      def welcomes?(material) = @archive.lessons.welcoming_with(material[:id]).any? { |lesson| in_lesson(lesson) }

      def posted?(material)
        return false unless material[:sitting_id] || @archive.materials.posted_in(material[:id]).any?
        return true if @person && material[:made_by] == @person[:id]

        @archive.materials.posted_in(material[:id]).any? { |stream| reads?(stream) || recorded_post?(stream, material[:id]) }
      end

      # Whether a poll that was put to them shows it, or one in a recording that they may watch.
      def asked?(material)
        @archive.polls.showing(material[:id]).any? { |stream| reads?(stream) || recorded_words?(stream) }
      end

      # @param stream [String] of words or a poll in a class
      def reads?(stream)
        sitting_id = Core::Streams::StreamName.sitting_id(stream)
        person = in_lesson(@archive.lessons.fetch(@archive.sittings.fetch(sitting_id)[:lesson_id])) or return false
        names = Core::Streams::StreamName
        states = [names.sitting(sitting_id), names.staff(sitting_id), names.own(sitting_id, person.id)].map do |name|
          @archive.log.state(name).first
        end
        Core::Access::InClass.new(person, *states.first(2), states.last).reads?(stream)
      end

      def recorded_words?(stream)
        recording_of(stream)&.then { |one| one.streams.include?(stream) || everyones_poll?(stream, one) } || false
      end

      # Whether a post with it is part of a recording that they may watch.
      def recorded_post?(stream, material)
        one = recording_of(stream)
        return false unless one&.streams&.include?(stream)

        @archive.log.state(stream).first.posts.each_value.any? { |post| post[:file] == material && one.post?(post) }
      end

      # @return [Core::Recordings::Recording, nil] one that they may watch
      def recording_of(stream)
        row = @archive.recordings.fetch(Core::Streams::StreamName.sitting_id(stream))
        recording = recording?(row) && @archive.recordings.recording(row) or return
        stretch = @stretch.call(row[:sitting_id]) unless whole_recording?(row)
        stretch ? recording.only(*stretch) : recording
      rescue Core::Refusal
        nil
      end

      def everyones_poll?(stream, recording)
        return false unless Core::Streams::StreamName.kind(stream) == :poll

        poll = @archive.log.state(stream).first
        poll.begun? && [nil, Core::Sittings::Places::MAIN].include?(poll.place) && recording.poll?(@archive.log.entries(stream))
      end

      # Whether the person was turned out of the class of a lesson that goes on now.
      def turned_out?(lesson_id)
        @turned_out ||= {}
        @turned_out.fetch(lesson_id) { @turned_out[lesson_id] = @archive.sittings.turned_out?(lesson_id, @person[:id]) }
      end

      # Whether the person is in the class of a lesson now, and not just at its doors.
      def taught?(lesson_id)
        return false unless @person

        @taught ||= {}
        @taught.fetch(lesson_id) do
          sitting = @archive.sittings.open_of(lesson_id)
          place = sitting && @archive.log.state(Core::Streams::StreamName.own(sitting, @person[:id])).first.place
          @taught[lesson_id] = !place.nil? && place != Core::Sittings::Places::WAITING
        end
      end

      # @param shown [Array(String, Integer, Integer)] material, version and slide, or nil for any of them
      def recorded?(boards, shown)
        boards.group_by { |row| row.slice(:lesson_id, :course_id) }.any? do |lesson, rows|
          recordings = @archive.recordings.of_lessons([lesson[:lesson_id]])
          here = { id: lesson[:lesson_id], course_id: lesson[:course_id] }
          recordings.any? { |row| recording?(row, here) && shows?(row, rows) && slide_in?(row, here, shown) }
        end
      end

      # What was shown later, or was cut, is not open to those who may not watch it.
      def slide_in?(row, lesson, shown)
        stretch = @stretch.call(row[:sitting_id]) unless whole_recording?(row, lesson)
        @slides.call(row[:sitting_id], stretch).any? { |one| shown.zip(one).all? { |wanted, there| wanted.nil? || wanted == there } }
      rescue Core::Refusal
        # There is nothing left of it.
        false
      end

      # While a class goes on there is nothing to watch yet.
      def shows?(row, boards)
        recorded = @archive.recordings.recording(row)&.streams or return false
        boards.any? { |board| recorded.include?(Core::Streams::StreamName.board(board[:id])) }
      end
    end
  end
end
