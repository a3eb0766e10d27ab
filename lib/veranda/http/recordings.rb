# frozen_string_literal: true

module Veranda
  module Http
    # Recordings: the list, and what the player needs of one.
    class Recordings < Resource
      include OfRecording

      # Longest stretch of entries given at once, in ms.
      WINDOW = 10 * 60_000
      # Letters of what is looked for.
      LONGEST_SOUGHT = 200

      get '/api/recordings' do
        json(aside(:recordings_of, person: someone![:id], text: sought))
      end

      # Where in it something was written, said or shown.
      get '/api/recordings/:id/places' do |id|
        watchable(id)
        json(places: aside(:places_in, sitting: id, text: sought, **only(id)))
      end

      get '/api/recordings/:id' do |id|
        row, _, lesson, staff = watchable(id)
        facts = JSON.parse(aside(:replay_facts, sitting: id, **viewer(staff), **only(id)))
        json(**facts, title: lesson[:title], course: archive.course(lesson[:course_id])[:name], staff: staff, shared: row[:shared],
                      stopped: archive.watching.stopped(id, visitor.watcher))
      end

      # Sound or picture, of which a player asks for parts (RFC 9110, 14.2).
      get '/api/recordings/:id/tracks/:track' do |id, track|
        _, recording, _, staff = watchable(id)
        left = Preparing::TracksLeft.new(archive, recording)
        # Of rooms it has to be known which are heard; of the main room not.
        found = [-> { [] }, -> { heard(aside(:replay_rooms, sitting: id, **viewer(staff), **only(id))) }].lazy.filter_map do |rooms|
          left.find(track, rooms: rooms.call)
        end.first
        raise Core::Refusal.new(:no_such_track, 'There is no such sound or picture in this recording.') unless found

        play_file(found[:file], found[:kind] == 'sound' ? 'audio/webm' : 'video/webm')
      end

      # The state of everything at a moment of the recording.
      get '/api/recordings/:id/at' do |id|
        _, recording, _, staff = watchable(id)
        t = number(params['t']).clamp(0, recording.clock.length)
        aside(:replay_at, sitting: id, t: t, board: params['board']&.to_s, **in_room(staff), **only(id))
      end

      # What happens between two moments, in order.
      get '/api/recordings/:id/entries' do |id|
        _, recording, _, staff = watchable(id)
        from = number(params['from']).clamp(0, recording.clock.length)
        to = number(params['to']).clamp(from, [from + WINDOW, recording.clock.length].min)
        aside(:replay_between, sitting: id, from: from, to: to, **in_room(staff), **only(id))
      end

      get('/api/recordings/:id/captions') { |id| watchable(id) && aside(:replay_captions, sitting: id, **only(id)) }

      CAPTIONS = { 'vtt' => Core::Recordings::WebVtt::TYPE, 'srt' => 'application/x-subrip' }.freeze

      # Captions as others read them.
      get '/api/recordings/:id/captions/:lang.:format' do |id, lang, format|
        raise Core::Refusal.new(:no_captions, 'Captions come as WebVTT and as SRT.') unless CAPTIONS.key?(format)

        _, _, lesson, = watchable(id)
        name = "#{Core::Materials::FileName.plain(lesson[:title])}.#{lang[/\A[\w-]{1,20}/]}.#{format}"
        give_away(aside(:caption_file, sitting: id, lang: lang, format: format, **only(id)), name, CAPTIONS[format])
      end

      WRITTEN = { 'boards.pdf' => 'application/pdf', 'posts.csv' => 'text/csv; charset=utf-8', 'polls.csv' => 'text/csv; charset=utf-8',
                  'transcript.txt' => 'text/plain; charset=utf-8', 'transcript.csv' => 'text/csv; charset=utf-8',
                  'transcript.vtt' => 'text/vtt; charset=utf-8' }.freeze

      # What was said, written, asked and drawn in it, to be kept.
      WRITTEN.each do |name, type|
        get "/api/recordings/:id/#{name}" do |id|
          _, _, lesson, = watchable(id)
          what, format = name.split('.')
          give_away(aside(:recorded_writing, sitting: id, what: what, format: format, **only(id)),
                    "#{Core::Materials::FileName.plain(lesson[:title])}, #{name}", type)
        end
      end

      # A sound or clip that was played for everybody in the main room, or in a breakout room that one may look into.
      get '/api/recordings/:id/clips/:material/:version' do |id, material, version|
        _, recording, _, staff = watchable(id)
        rooms = params['room'] ? aside(:replay_rooms, sitting: id, **viewer(staff)).map { |room| room[:id] } & [params['room'].to_s] : nil
        places = rooms || [Core::Sittings::Places::MAIN]
        played = places.flat_map do |place|
          recording.clips(archive.log.of_kind(Core::Streams::StreamName.place(id, place), Core::Recordings::Recording::CLIPS))
        end
        unless played.any? { |clip| clip.values_at(:material, :version) == [material, number(version)] }
          raise Core::Refusal.new(:no_such_material, 'That was not played in this class.')
        end

        play(material, number(version))
      end

      # What is left of a class, for those who are of its course.
      get '/api/classes/:id/after' do |id|
        lesson, person, watches = left_of!(id)
        json(id: id, lesson: lesson[:id], title: lesson[:title], number: lesson[:number], course: archive.course(lesson[:course_id])[:name],
             staff: person.staff?, **aside(:after_class, sitting: id, person: person.to_h, watches: watches))
      end

      OWN = Core::Contract.define { required(:board).value(Core::Types::ID) }

      # A board of it to go on with by oneself.
      post '/api/classes/:id/own_copies' do |id|
        _, person, watches = left_of!(id)
        raise archive.recordings.no_such_recording unless watches

        status 201
        json(id: aside(:own_copy, sitting: id, person: person.to_h, **Core::Contract.check(OWN, input)))
      end

      private

      # @return [Array(Hash, Core::Person, Boolean)] the lesson, who asks, and whether they may watch the recording
      def left_of!(id)
        row = archive.sittings.fetch(id)
        lesson = archive.lessons.fetch(row[:lesson_id])
        person = in_lesson!(lesson)
        raise Core::Refusal.new(:no_such_class, 'There is no such class.') if row[:rehearsal]
        raise Core::Refusal.new(:goes_on, 'This class is not over yet.') unless archive.sittings.state(id).ended?

        [lesson, person, watches_all?(id, lesson)]
      end

      def watches_all?(id, lesson)
        row = archive.recordings.fetch(id)
        reader.whole_recording?(row, lesson) && !archive.recordings.recording(row).nil?
      rescue Core::Refusal
        false
      end

      def sought = params['search'].to_s.scrub('').delete("\0")[0, LONGEST_SOUGHT]

      def heard(rooms) = rooms.select { |room| room[:heard] }.map { |room| room[:id] }

      # A breakout room that is asked for instead of the main room.
      def in_room(staff) = params['room'].to_s.empty? ? {} : { room: params['room'].to_s, **viewer(staff) }
    end
  end
end
