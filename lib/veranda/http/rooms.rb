# frozen_string_literal: true

module Veranda
  module Http
    # Breakout rooms of a class: what they could be, dealing, opening, and how each comes along.
    class Rooms < Resource
      # What there is to choose from: arrangements of those who are here, and earlier activities of the lesson.
      get '/api/classes/:id/rooms' do |id|
        taught!(id)
        json(aside(:rooms_offered, sitting: id))
      end

      DEAL = Core::Contract.define do
        required(:plan).hash(Core::Rooms::GroupPlan::CONTRACT)
        required(:name).filled(:string, max_size?: 120)
        optional(:step).maybe(Core::Types::ID)
        optional(:activity).value(Core::Types::ID)
        optional(:earlier).value(Core::Types::ID)
        # The cue that opens them when it is fired.
        optional(:cue).value(Core::Types::ID)
      end

      # Deals those who are in the main room; or those of the roster, before the class.
      post '/api/classes/:id/rooms' do |id|
        taught!(id)
        facts = Core::Contract.check(DEAL, input)
        facts[:activity] ||= Store::Ids.call
        aside(:deal_rooms, sitting: id, **facts)
        status 201
        json(activity: facts[:activity])
      end

      post '/api/classes/:id/rooms/:activity/open' do |id, activity|
        taught!(id)
        aside(:open_rooms, sitting: id, activity: activity)
        json(activity: activity)
      end

      NAMED = Core::Contract.define { required(:name).filled(:string, max_size?: Core::Rooms::GroupPlan::LONGEST_NAME) }

      # One more room.
      post '/api/classes/:id/rooms/:activity/rooms' do |id, activity|
        taught!(id)
        room = aside(:add_room, sitting: id, activity: activity, **Core::Contract.check(NAMED, input))
        status 201
        json(room: room)
      end

      GIVEN = Core::Contract.define do
        required(:board).value(Core::Types::ID)
        optional(:rooms).value(:array, min_size?: 1, max_size?: Core::Groups::Sizes::MOST_ROOMS).each(Core::Types::ID)
      end

      # A copy of one of the class's boards for every open room, or for some.
      post '/api/classes/:id/rooms/:activity/boards' do |id, activity|
        taught!(id)
        aside(:give_boards, sitting: id, activity: activity, **Core::Contract.check(GIVEN, input))
        json(activity: activity)
      end

      PIECES = Core::Contract.define do
        required(:pieces).value(:array, min_size?: 1, max_size?: Core::Groups::Sizes::MOST_ROOMS).each do
          hash do
            required(:room).value(Core::Types::ID)
            required(:board).value(Core::Types::ID)
            required(:page).value(Core::Types::ID)
            optional(:marks).value(:array, min_size?: 1, max_size?: 200).each(Core::Types::ID)
          end
        end
      end

      # A board for everyone on which pages of the rooms, or marks chosen from them, are side by side.
      post '/api/classes/:id/rooms/:activity/side-by-side' do |id, activity|
        lesson = taught!(id)
        board = aside(:side_by_side, sitting: id, activity: activity, now: hub.clock.call, **Core::Contract.check(PIECES, input))
        hub.review(lesson[:id])
        status 201
        json(board: board)
      end

      # How each open room comes along.
      get '/api/classes/:id/rooms/:activity/pulse' do |id, activity|
        taught!(id)
        json(aside(:rooms_pulse, sitting: id, activity: activity, now: hub.clock.call))
      end

      # Activities of a lesson's classes, by name and date: all for staff; for others the rooms in which they sat.
      get '/api/lessons/:id/activities' do |id|
        person = in_lesson!(archive.lessons.fetch(id))
        json(activities: aside(:activities, lesson: id, **(person.staff? ? {} : { person: visitor.person.slice(:id, :name, :stand_in) })))
      end

      SHARED = Core::Contract.define { required(:shared).value(:bool) }

      # Whether everyone of the class may see what was made in a room.
      patch '/api/lessons/:id/activities/:activity/rooms/:room' do |id, activity, room|
        lesson = archive.lessons.fetch(id)
        staff!(lesson)
        row = aside(:activities, lesson: id).find { |one| one[:activity] == activity }
        raise Core::Refusal.new(:no_such_activity, 'There is no such activity of this lesson.') unless row

        facts = Core::Contract.check(SHARED, input)
        Deciding::Perform.call(archive.log, 'rooms.share', { activity: activity, room: room, on: facts[:shared] },
                               stream: Core::Streams::StreamName.staff(row[:sitting]), by: in_lesson!(lesson))
        json(shared: facts[:shared])
      end

      # What all rooms of an activity made, in one file.
      get '/api/lessons/:id/activities/:activity.pdf' do |id, activity|
        lesson = archive.lessons.fetch(id)
        staff!(lesson)
        row = aside(:activities, lesson: id).find { |one| one[:activity] == activity }
        raise Core::Refusal.new(:no_such_activity, 'There is no such activity of this lesson.') unless row

        boards = row[:rooms].flat_map { |room| room[:boards].map { |board| board[:id] } }
        give_away(aside(:lesson_pdf, boards: boards), "#{Core::Materials::FileName.plain(row[:name])}.pdf", 'application/pdf')
      end

      private

      def taught!(id) = archive.lessons.fetch(archive.sittings.fetch(id)[:lesson_id]).tap { |lesson| staff!(lesson) }
    end
  end
end
