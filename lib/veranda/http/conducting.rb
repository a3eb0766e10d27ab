# frozen_string_literal: true

module Veranda
  module Http
    # What staff ask about a class under way that its streams do not say by themselves.
    class Conducting < Resource
      # Who may do what in a place, and what decides it; of one `person`, or of everyone there.
      get '/api/classes/:id/places/:place/rights' do |id, place|
        taught!(id)
        json(people: aside(:survey, sitting: id, place: place, person: params['person'], now: hub.clock.call))
      end

      # Who has been heard since the doors opened, or (`over=course`) in all classes of the course; whoever was heard least first, and how
      # evenly that is spread.
      get '/api/classes/:id/places/:place/heard' do |id, place|
        taught!(id)
        json(aside(:heard, sitting: id, place: place, course: params['over'] == 'course'))
      end

      # How everybody's own copies of what was handed out come along.
      get '/api/classes/:id/copies' do |id|
        taught!(id)
        copies = archive.log.state(Core::Streams::StreamName.staff(id)).first.copies.values
        work = archive.own_copies.work(copies.map { |copy| copy[:board] })
        json(copies: copies.map { |copy| { **copy, edits: 0, at: nil, **(work[copy[:board]] || {}) } })
      end

      FORWARD = Core::Contract.define do
        required(:copy).value(Core::Types::ID)
        required(:named).value(:bool)
      end

      # Makes a board for everyone of somebody's copy, with or without their name.
      post '/api/classes/:id/boards' do |id|
        lesson = taught!(id)
        board = aside(:put_forward, sitting: id, **Core::Contract.check(FORWARD, input))
        hub.review(lesson[:id])
        status 201
        json(board: board)
      end

      # Who of those at the doors comes to this course for the first time.
      get '/api/classes/:id/newcomers' do |id|
        taught!(id)
        json(people: aside(:newcomers, sitting: id))
      end

      OWN = Core::Contract.define { required(:name).filled(:string, max_size?: 80) }

      # A board of one's own.
      post '/api/classes/:id/own-boards' do |id|
        lesson = archive.lessons.fetch(archive.sittings.fetch(id)[:lesson_id])
        board = Preparing::OwnBoard.new(archive, id, by: in_lesson!(lesson)).call(**Core::Contract.check(OWN, input))
        hub.review(lesson[:id])
        status 201
        json(board: board[:id])
      end

      CLIP = Core::Contract.define do
        required(:material).value(Core::Types::ID)
        # Whether it plays in every open room too.
        optional(:rooms).value(:bool)
      end

      # Plays a sound or clip of the shelf for everybody in a place.
      post '/api/classes/:id/places/:place/clip' do |id, place|
        conducted(id, place)
        lesson = archive.lessons.fetch(archive.sittings.fetch(id)[:lesson_id])
        facts = Core::Contract.check(CLIP, input)
        material = archive.materials.fetch(facts[:material])
        person = in_lesson!(lesson)
        wish = { sitting: id, place: place, rooms: facts[:rooms] || false }
        if material[:kind] == 'link'
          # Its site has to be asked.
          aside(:play_clip, material: material[:id], by: person.to_h, **wish)
        else
          Preparing::PlayingClip.new(archive, lesson, by: person).call(material, **wish)
        end
        status 201
        json({})
      end

      # What plays now in a place, for those who are told of it.
      get '/api/classes/:id/places/:place/clip/:material/:version' do |id, place, material, version|
        clip = plays(id, place)
        unless clip && clip.values_at(:material, :version) == [material, number(version)]
          raise Core::Refusal.new(:no_such_material, 'That does not play here any more.')
        end

        play(material, clip[:version])
      end

      PAIRS = Core::Contract.define do
        required(:size).value(:integer, included_in?: Core::Sittings::Pairing::SIZES)
        optional(:board).value(Core::Types::ID)
      end

      # Draws pairs or threes among those in a place, if wished each with a copy of a board.
      post '/api/classes/:id/places/:place/pairs' do |id, place|
        conducted(id, place)
        pairs = aside(:pair_up, sitting: id, place: place, **Core::Contract.check(PAIRS, input))
        status 201
        json(pairs: pairs.map { |people| { people: people } })
      end

      TYPES = { 'txt' => 'text/plain; charset=utf-8', 'csv' => 'text/csv; charset=utf-8', 'vtt' => 'text/vtt; charset=utf-8' }.freeze

      # What was written, to be kept.
      get '/api/classes/:id/transcript.:format' do |id, format|
        lesson = taught!(id)
        type = TYPES.fetch(format) { raise Core::Refusal.new(:bad_input, 'A transcript is saved as text, CSV or WebVTT.') }
        name = "#{Core::Materials::FileName.plain(lesson[:title])}, transcript.#{format}"
        give_away(aside(:transcript, sitting: id, format: format), name, type)
      end

      private

      def taught!(id) = archive.lessons.fetch(archive.sittings.fetch(id)[:lesson_id]).tap { |lesson| staff!(lesson) }

      # @return [Hash, nil] see {Core::Sittings::Clip}
      def plays(id, place)
        lesson = archive.lessons.fetch(archive.sittings.fetch(id)[:lesson_id])
        names = Core::Streams::StreamName
        stream = names.place(id, place)
        sitting, staff = [names.sitting(id), names.staff(id)].map { |name| archive.log.state(name).first }
        archive.log.state(stream).first.clip if Core::Access::InClass.new(in_lesson!(lesson), sitting, staff).reads?(stream)
      end

      def conducted(id, place)
        taught!(id)
        sitting = archive.log.state(Core::Streams::StreamName.sitting(id)).first
        raise Core::Refusal.new(:no_such_place, 'There is no such room in this class.') unless sitting.place?(place)

        sitting
      end
    end
  end
end
