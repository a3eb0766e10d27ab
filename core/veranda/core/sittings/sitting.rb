# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # One live holding of a lesson (on screen: "class"): what concerns all of it and everyone who was let in may know. What is on
      # show and who may do what belongs to its places ({Place}); notes, cues, boards for staff
      # and who waits are in {StaffFacts}.
      class Sitting
        PLAN = %i[id title course starts_at minutes steps boards places rehearsal].freeze
        FACTS = %i[status opened_at ended_at moves stretches record_by_hand paused_for_rooms handed activities address].freeze

        attr_reader(*PLAN, *FACTS)
        # @return [Hash{String => Integer}] ms added to steps
        attr_reader :extra
        # @return [Hash{String => Seat}] of everyone who was ever let in
        attr_reader :seats

        def initialize
          @status = 'planned'
          @steps = []
          @boards = []
          @places = Places::FIRST
          @moves = []
          @extra = {}
          @stretches = []
          @handed = []
          @activities = []
          @seats = {}
          @sat = Rooms::Sat.new
        end

        def initialize_copy(_other)
          super
          @moves, @extra, @sat = [@moves, @extra, @sat].map(&:dup)
          @stretches = @stretches.map(&:dup)
          @seats = @seats.transform_values(&:dup)
        end

        def planned? = @status == 'planned'
        def open? = @status == 'open'
        def ended? = @status == 'ended'

        # @return [Hash, nil] the step the class is at: `{ id:, title:, minutes: }`
        def step = @moves.any? ? step_by_id(@moves.last[:step]) : nil

        def step_by_id(id) = @steps.find { |step| step[:id] == id }

        # @return [Boolean] whether a recording runs now
        def recording? = @stretches.any? && @stretches.last[:to].nil?

        # @return [Array<Seat>] everyone who has not left and was not sent out
        def present = @seats.each_value.reject { |seat| seat.left? || seat.out? }

        # @param person [String]
        # @return [Boolean] whether somebody was let in and not sent out; they may have left
        def in?(person) = !@seats[person].nil? && !@seats[person].out?

        # @return [Boolean]
        def place?(id) = @places.any? { |place| place[:id] == id }

        # @return [Array<String>] ids of breakout rooms that are open
        def rooms = @places.select { |place| place[:activity] }.map { |place| place[:id] }

        # @param room [String]
        # @param at [Integer] ms since the epoch
        # @return [Array<String>] ids of those who sat in a room up to then, without those who teach
        def sat(room, at) = @sat.who(room, at).reject { |id| @seats[id]&.staff? }

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          SittingChanges.fetch(entry.kind) { return self }.bind_call(self, entry, entry.body)
          self
        end

        # @return [Integer] how much there is to write down
        def size = @seats.length

        # @return [Hash] everything, for a snapshot
        def to_h
          own = [*PLAN, *FACTS].to_h { |field| [field, instance_variable_get(:"@#{field}")] }
          own.merge(seats: @seats.values.map(&:to_h), extra: @extra.map { |step, ms| { step: step, ms: ms } },
                    sat: @sat.to_a)
        end

        # @return [Hash] what its readers see; the rest is for the server's own reckoning
        def view = to_h.except(:extra, :record_by_hand, :paused_for_rooms, :sat)

        # @param facts [Hash] as written by {#to_h}
        # @return [Sitting]
        def self.from(facts) = new.tap { |sitting| sitting.send(:restore, facts) }

        private

        def restore(facts)
          [*PLAN, *FACTS].each { |field| instance_variable_set(:"@#{field}", facts[field]) }
          @handed ||= []
          @activities ||= []
          @sat = Rooms::Sat.new(facts[:sat] || [])
          @extra = (facts[:extra] || []).to_h { |row| row.values_at(:step, :ms) }
          @seats = facts[:seats].to_h { |seat| [seat[:id], Seat.new(**seat)] }
        end

        def planned(_entry, body)
          PLAN.each { |field| instance_variable_set(:"@#{field}", body[field]) if body.key?(field) }
        end

        def boards_set(_entry, body) = @boards = body[:boards]

        # Ids of the boards of which everyone works on a copy of their own.
        def handed_out(_entry, body) = @handed |= [body[:board]]
        def gathered_in(_entry, body) = @handed -= [body[:board]]

        def opened(entry, _body)
          @status = 'open'
          @opened_at = entry.at
        end

        def ended(entry, _body)
          @status = 'ended'
          @address = nil
          @ended_at = entry.at
          stop_recording(entry.at)
        end

        # People come in; or back, and then to where they were.
        def joined(entry, body)
          body[:people].each do |person|
            @seats[person[:id]] = Seat.new(**person, place: body[:place], presence: 'here', since: entry.at)
            @sat.at(person[:id], body[:place], entry.at)
          end
        end

        def seated(entry, body)
          body[:people].each do |id|
            @seats[id]&.place = body[:place]
            @sat.at(id, body[:place], entry.at) if @seats[id]&.here?
            addresses_no_more(id)
          end
        end

        def sent_out(entry, body)
          body[:people].each do |id|
            @seats[id]&.presence = 'out'
            @seats[id]&.since = entry.at
            @sat.at(id, nil, entry.at)
            addresses_no_more(id)
          end
        end

        def dropped(entry, _body) = seat_becomes('dropped', entry)
        def left(entry, _body) = seat_becomes('left', entry)
        def moved(entry, body) = @moves << { step: body[:step], at: entry.at }

        def extended(_entry, body)
          @extra[body[:step]] = (@extra[body[:step]] || 0) + body[:minutes] * 60_000
        end

        def recording(entry, body)
          @record_by_hand = true unless body[:planned]
          @paused_for_rooms = body[:rooms] && !body[:on] ? true : false
          body[:on] ? start_recording(entry.at) : stop_recording(entry.at)
        end

        def seat_becomes(presence, entry)
          seat = @seats[entry.actor] or return
          seat.presence = presence
          seat.since = entry.at
          @sat.at(seat.id, nil, entry.at)
          addresses_no_more(seat.id)
        end

        def addressed(entry, body) = @address = { person: entry.actor, **body, since: entry.at }
        def address_over(_entry, _body) = @address = nil
        def addresses_no_more(person) = @address = (@address unless @address && @address[:person] == person)

        # Rooms are places for as long as they are open.
        def rooms_opened(entry, body)
          @places += body[:rooms].map { |room| { **room, activity: body[:activity] } }
          body[:rooms].each { |room| @sat.opened(room[:id], entry.at) }
          @activities = @activities.reject { |activity| activity[:id] == body[:activity] } +
                        [{ id: body[:activity], **body.slice(:name, :step, :rooms, :free, :named), opened_at: entry.at, closed_at: nil }]
        end

        def room_set(entry, body)
          room = { id: body[:room], name: body[:name] }
          @sat.opened(body[:room], entry.at)
          @places = with(@places, { **room, activity: body[:activity] })
          @activities = @activities.map do |activity|
            activity[:id] == body[:activity] ? activity.merge(rooms: with(activity[:rooms], room)) : activity
          end
        end

        def rooms_closed(entry, body)
          @places = @places.reject { |place| body[:rooms].include?(place[:id]) }
          body[:rooms].each { |room| @sat.closed(room) }
          return if @places.any? { |place| place[:activity] == body[:activity] }

          @address = nil
          @activities = @activities.map { |one| one[:id] == body[:activity] ? one.merge(closed_at: entry.at) : one }
        end

        def with(rows, row)
          if rows.any? { |one| one[:id] == row[:id] }
            rows.map { |one| one[:id] == row[:id] ? row : one }
          else
            rows + [row]
          end
        end

        def start_recording(at)
          @stretches << { from: at, to: nil } unless recording?
        end

        def stop_recording(at)
          @stretches.last[:to] = at if recording?
        end
      end

      # Which method of {Sitting} takes in which kind of entry.
      SittingChanges = {
        'planned' => :planned, 'boards' => :boards_set, 'opened' => :opened, 'ended' => :ended, 'joined' => :joined,
        'seated' => :seated, 'out' => :sent_out, 'dropped' => :dropped, 'left' => :left, 'moved' => :moved, 'extended' => :extended,
        'recording' => :recording, 'rooms_opened' => :rooms_opened, 'room_set' => :room_set, 'rooms_closed' => :rooms_closed,
        'handed_out' => :handed_out, 'gathered_in' => :gathered_in, 'addressed' => :addressed, 'address_over' => :address_over
      }.transform_values { |name| Sitting.instance_method(name) }.freeze
    end
  end
end
