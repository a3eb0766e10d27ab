# frozen_string_literal: true

module Veranda
  module Http
    # Recordings: the list, and what the player needs of one.
    class Recordings < Resource
      # Longest stretch of entries given at once, in ms.
      WINDOW = 10 * 60_000

      get '/api/recordings' do
        roles = archive.people.courses(someone![:id])
        lessons = archive.lessons.of_courses(roles.keys).to_h { |lesson| [lesson[:id], lesson] }
        rows = archive.recordings.of_lessons(lessons.keys).filter_map do |row|
          lesson = lessons[row[:lesson_id]]
          staff = Core::Person::STAFF.include?(roles[lesson[:course_id]])
          row_facts(row, lesson, staff) if staff || row[:shared]
        end
        found = found_in(rows)
        rows = rows.filter_map { |row| found[:by][row[:id]]&.then { |places| { **row, places: places } } } if found
        json(recordings: rows, unread: found ? found[:unread] : 0)
      end

      # Where in it something was written, said or shown.
      get '/api/recordings/:id/places' do |id|
        _, recording, = watchable(id)
        found = aside(:search_recordings, sittings: [id], text: sought)
        json(places: found[:places].select { |place| recording.clock.covers?(place[:at]) }.map { |place| place.slice(:at, :kind, :words) })
      end

      get '/api/recordings/:id' do |id|
        row, _, lesson, staff = watchable(id)
        facts = JSON.parse(aside(:replay_facts, sitting: id, **viewer(staff), **only(id)))
        json(**facts, title: lesson[:title], course: archive.course(lesson[:course_id])[:name], staff: staff, shared: row[:shared])
      end

      # How it was edited, for those who do.
      get('/api/recordings/:id/edits') { |id| edits(id) }

      EDITS = %w[cut blank add_stretch take_back chapter hide_names leave_out captions].freeze
      CAPTIONS = { 'vtt' => Core::Recordings::WebVtt::TYPE, 'srt' => 'application/x-subrip' }.freeze

      # Does one of these to it.
      post '/api/recordings/:id/edits/:edit' do |id, edit|
        person = staff_of_recording!(id)
        raise Core::Refusal.new(:unknown_command, 'That cannot be done to a recording.') unless EDITS.include?(edit)

        Deciding::Perform.call(archive.log, "recording.#{edit}", input, stream: Core::Streams::StreamName.recording(id), by: person)
        archive.track_parts.want(id) if %w[cut take_back].include?(edit)
        edits(id)
      end

      # Sound or picture, of which a player asks for parts (RFC 9110, 14.2).
      get '/api/recordings/:id/tracks/:track' do |id, track|
        _, recording, _, staff = watchable(id)
        left = Preparing::TracksLeft.new(archive, recording)
        # Of rooms it has to be known which are heard; of the main room not.
        found = [-> { [] }, -> { heard(aside(:replay_rooms, sitting: id, **viewer(staff), **only(id))) }].lazy.filter_map do |rooms|
          left.given(rooms: rooms.call).find { |one| one[:id] == track }
        end.first
        raise Core::Refusal.new(:no_such_track, 'There is no such sound or picture in this recording.') unless found

        play_file(found[:file], found[:kind] == 'sound' ? 'audio/webm' : 'video/webm')
      end

      # The state of everything at a moment of the recording.
      get '/api/recordings/:id/at' do |id|
        _, recording, _, staff = watchable(id)
        aside(:replay_at, sitting: id, t: number(params['t']).clamp(0, recording.clock.length), **in_room(staff), **only(id))
      end

      # What happens between two moments, in order.
      get '/api/recordings/:id/entries' do |id|
        _, recording, _, staff = watchable(id)
        from = number(params['from']).clamp(0, recording.clock.length)
        to = number(params['to']).clamp(from, [from + WINDOW, recording.clock.length].min)
        aside(:replay_between, sitting: id, from: from, to: to, **in_room(staff), **only(id))
      end

      get('/api/recordings/:id/captions') { |id| watchable(id) && aside(:replay_captions, sitting: id, **only(id)) }

      # Captions as others read them.
      get '/api/recordings/:id/captions/:lang.:format' do |id, lang, format|
        raise Core::Refusal.new(:no_captions, 'Captions come as WebVTT and as SRT.') unless CAPTIONS.key?(format)

        _, _, lesson, = watchable(id)
        name = "#{Core::Materials::FileName.plain(lesson[:title])}.#{lang[/\A[\w-]{1,20}/]}.#{format}"
        give_away(aside(:caption_file, sitting: id, lang: lang, format: format, **only(id)), name, CAPTIONS[format])
      end

      # Takes captions in from a file, in place of those that were there in that language.
      put '/api/recordings/:id/captions/:lang' do |id, lang|
        person = staff_of_recording!(id)
        raise Core::Refusal.new(:bad_input, 'Say the language as en or pt-BR.') unless Core::Types::LANGUAGE.valid?(lang)

        path = archive.files.scratch_file('vtt', brought(Core::Recordings::CaptionFile::BIGGEST))
        json(problems: aside(:take_captions, sitting: id, lang: lang, path: path, by: person.to_h))
      ensure
        FileUtils.rm_f(path) if path
      end

      # A sound or clip that was played for everybody in the main room, or in a breakout room that one may look into.
      get '/api/recordings/:id/clips/:material/:version' do |id, material, version|
        _, _, _, staff = watchable(id)
        rooms = params['room'] ? aside(:replay_rooms, sitting: id, **viewer(staff)).map { |room| room[:id] } & [params['room'].to_s] : nil
        places = rooms || [Core::Sittings::Places::MAIN]
        played = places.flat_map { |place| archive.log.bodies(Core::Streams::StreamName.place(id, place), 'clip_on') }
        unless played.any? { |clip| clip.values_at(:material, :version) == [material, number(version)] }
          raise Core::Refusal.new(:no_such_material, 'That was not played in this class.')
        end

        play(material, number(version))
      end

      patch '/api/recordings/:id' do |id|
        staff_of_recording!(id)
        archive.recordings.update(id, shared: Core::Contract.check(SHARING, input)[:shared])
        json(shared: archive.recordings.fetch(id)[:shared])
      end

      get('/api/recordings/:id/links') { |id| links(id) }

      post '/api/recordings/:id/links' do |id|
        staff_of_recording!(id)
        wish = Core::Contract.check(LINK, input)
        expires_at = wish[:days] && (Time.now + wish[:days] * 86_400)
        stretch = stretch!(id, wish)
        password = wish[:password] && aside(:password_hash, password: wish[:password])
        made = archive.links.make('recording', sitting_id: id, expires_at: expires_at, password: password,
                                               accounts_only: wish[:accounts_only] || false, **stretch)
        archive.track_parts.want(id) if stretch.any?
        status 201
        json(made.merge(expires_at: expires_at && ms(expires_at)))
      end

      delete '/api/recordings/:id/links/:link' do |id, link|
        staff_of_recording!(id)
        archive.links.revoke(link) if archive.links.find(link)&.fetch(:sitting_id) == id
        links(id)
      end

      SHARING = Core::Contract.define { required(:shared).value(:bool) }
      LINK = Core::Contract.define do
        optional(:days).maybe(:integer, gteq?: 1, lteq?: 365)
        optional(:password).maybe(:string, min_size?: 4, max_size?: 200)
        optional(:accounts_only).value(:bool)
        # Only this stretch of the class.
        optional(:from).maybe(:integer, :moment?)
        optional(:to).maybe(:integer, :moment?)
      end

      private

      def edits(id)
        staff_of_recording!(id)
        sitting = archive.sittings.state(id)
        made = archive.recordings.edits(id)
        whole = Core::Recordings::Recording.new(sitting, edits: Core::Recordings::Edits.from(made.to_h.slice(:chapters)))
        people = sitting.seats.each_value.reject(&:staff?).map { |seat| { id: seat.id, name: seat.name } }
        json(**made.view, from: sitting.opened_at, to: sitting.ended_at, recorded: whole.clock.stretches, people: people,
                          steps: sitting.moves.map { |move| { at: move[:at], title: sitting.step_by_id(move[:step])[:title] } })
      end

      # Letters of what is looked for.
      LONGEST_SOUGHT = 200

      def sought = params['search'].to_s.scrub('').delete("\0")[0, LONGEST_SOUGHT]

      # @return [Hash, nil] places by recording, and how many are still to be read; nil when nothing is looked for
      def found_in(rows)
        return if sought.strip.empty?

        found = aside(:search_recordings, sittings: rows.map { |row| row[:id] }, text: sought)
        { by: found[:places].group_by { |place| place[:sitting_id] }.transform_values { |all| all.map { |place| place.slice(:at, :kind, :words) } },
          unread: found[:unread] }
      end

      def heard(rooms) = rooms.select { |room| room[:heard] }.map { |room| room[:id] }

      # Once it is known that they may watch it.
      # @return [Hash] the stretch that they may watch, unless it is all
      def only(_id) = { only: @only }.compact

      def viewer(staff) = { viewer: visitor.person&.fetch(:id), teaches: staff }

      # A breakout room that is asked for instead of the main room.
      def in_room(staff) = params['room'].to_s.empty? ? {} : { room: params['room'].to_s, **viewer(staff) }

      def row_facts(row, lesson, staff)
        recording = archive.recordings.recording(row) or return
        { id: row[:sitting_id], title: lesson[:title], number: lesson[:number], course: archive.course(lesson[:course_id])[:name],
          at: recording.clock.stretches.first.first, length: recording.clock.length,
          chapters: recording.chapters.map { |chapter| chapter[:title] }, shared: row[:shared], staff: staff,
          taught: recording.sitting.seats.each_value.select { |seat| seat.role == 'instructor' }.map(&:name),
          sound: archive.tracks.state(row[:sitting_id]) }
      end

      # @return [Array] the row, the recording, its lesson, and whether the visitor is staff there
      # @raise [Core::Refusal] the same for what does not exist as for what one may not see
      def watchable(id)
        row = archive.recordings.fetch(id)
        lesson = archive.lessons.fetch(row[:lesson_id])
        staff = visitor.in_lesson(lesson)&.staff? || false
        recording = reader.recording?(row, lesson) && archive.recordings.recording(row)
        raise archive.recordings.no_such_recording unless recording

        @only = visitor.stretch(id) unless reader.whole_recording?(row, lesson)
        recording = recording.only(*@only) if @only
        # All that a link showed may have been cut since.
        raise archive.recordings.no_such_recording if recording.clock.length.zero?


        [row, recording, lesson, staff]
      end

      def staff_of_recording!(id) = staff!(archive.lessons.fetch(archive.recordings.fetch(id)[:lesson_id]))

      # @return [Hash] columns of a link
      # @raise [Core::Refusal] `nothing_left`
      def stretch!(id, wish)
        from, to = wish.values_at(:from, :to)
        left = archive.recordings.recording(archive.recordings.fetch(id)) || raise(archive.recordings.no_such_recording)
        return { only_from: from, only_to: to } if left.only(from, to).clock.length >= Core::Recordings::EditCommand::LEAST

        raise Core::Refusal.new(:nothing_left, 'Nothing was recorded in that stretch. Choose another.')
      end

      def links(id)
        staff_of_recording!(id)
        rows = archive.links.of_recording(id).map do |link|
          { id: link[:id], made_at: ms(link[:made_at]), expires_at: link[:expires_at] && ms(link[:expires_at]), password: !link[:password].nil?,
            accounts_only: link[:accounts_only], from: link[:only_from], to: link[:only_to] }
        end
        json(links: rows)
      end
    end
  end
end
