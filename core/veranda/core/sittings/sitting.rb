# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # One live holding of a lesson (on screen: "class"), as its public stream tells it.
      # Private notes are not in it, since students read this stream.
      class Sitting
        PLAN = %i[id title course starts_at minutes steps boards record_from rehearsal].freeze
        FACTS = %i[status opened_at ended_at moves extra shown hands stretches record_by_hand timer cued].freeze

        attr_reader(*PLAN, *FACTS)
        # @return [Hash{String => Seat}]
        attr_reader :seats
        # @return [Rights::HouseRules]
        attr_reader :rules

        def initialize
          @status = 'planned'
          @steps = []
          @boards = []
          @moves = []
          @extra = {}
          @hands = []
          @stretches = []
          @cued = []
          @seats = {}
          @rules = Rights::HouseRules.new
        end

        def open? = @status == 'open'
        def ended? = @status == 'ended'

        # @return [Hash, nil] the step the class is at: `{ id:, title:, minutes:, shortest:, board:, rules:, cues: }`
        def step = @moves.any? ? step_by_id(@moves.last[:step]) : nil

        def step_by_id(id) = @steps.find { |step| step[:id] == id }

        # @return [String] the page of a board that comes on show first
        def first_page(board_id)
          @boards.find { |board| board[:id] == board_id }&.fetch(:first_page, nil) || Boards::Board::FIRST_PAGE
        end

        # @return [Boolean] whether a recording runs now
        def recording? = @stretches.any? && @stretches.last[:to].nil?

        # @return [Array<Seat>] everyone who has not left
        def present = @seats.each_value.reject { |seat| seat.presence == 'left' }

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          SittingChanges.fetch(entry.kind) { return self }.bind_call(self, entry, entry.body)
          self
        end

        # @return [Integer] how much there is to write down
        def size = @seats.length

        # @return [Hash] everything, for a snapshot and for its readers alike
        def to_h
          own = [*PLAN, *FACTS].to_h { |field| [field, instance_variable_get(:"@#{field}")] }
          own.merge(seats: @seats.values.map(&:to_h), rules: @rules.to_h, extra: @extra.map { |step, ms| { step: step, ms: ms } })
        end
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        # @return [Sitting]
        def self.from(facts) = new.tap { |sitting| sitting.send(:restore, facts) }

        private

        def restore(facts)
          [*PLAN, *FACTS].each { |field| instance_variable_set(:"@#{field}", facts[field]) }
          @cued ||= []
          @extra = facts[:extra].to_h { |row| row.values_at(:step, :ms) }
          @seats = facts[:seats].to_h { |seat| [seat[:id], Seat.new(**seat)] }
          @rules = Rights::HouseRules.from(facts[:rules])
        end

        def planned(_entry, body)
          PLAN.each { |field| instance_variable_set(:"@#{field}", body[field]) }
        end

        def opened(entry, _body)
          @status = 'open'
          @opened_at = entry.at
        end

        def ended(entry, _body)
          @status = 'ended'
          @ended_at = entry.at
          stop_recording(entry.at)
        end

        def joined(entry, body)
          @seats[entry.actor] = Seat.new(id: entry.actor, name: body[:name], role: body[:role], presence: 'here', since: entry.at)
        end

        def dropped(entry, _body) = seat_becomes('dropped', entry)

        def left(entry, _body)
          seat_becomes('left', entry)
          @hands.delete(entry.actor)
        end

        def moved(entry, body)
          @moves << { step: body[:step], at: entry.at }
          @shown = { board: step[:board], page: first_page(step[:board]) } if step[:board]
          step[:rules]&.each { |right, allow| @rules = @rules.set(right, allow) }
          start_recording(entry.at) if body[:record]
        end

        def extended(_entry, body)
          @extra[body[:step]] = (@extra[body[:step]] || 0) + body[:minutes] * 60_000
        end

        def shown_on(_entry, body)
          @shown = { board: body[:board], page: body[:page] }
        end

        def hand_raised(entry, _body) = @hands |= [entry.actor]
        def hand_lowered(_entry, body) = @hands -= [body[:person]]

        def ruled(_entry, body)
          @rules = @rules.set(body[:right].to_sym, body[:allow], person: body[:person])
        end

        def recording(entry, body)
          @record_by_hand = true
          body[:on] ? start_recording(entry.at) : stop_recording(entry.at)
        end

        def cue_fired(entry, body)
          @cued |= [body[:cue]]
          case body[:kind]
          when 'show' then @shown = { board: body[:board], page: body[:page] }
          when 'timer' then @timer = { ends_at: body[:ends_at], label: body[:label] }
          when 'record' then start_recording(entry.at)
          end
        end

        def timer_stopped(_entry, _body) = @timer = nil

        def seat_becomes(presence, entry)
          seat = @seats[entry.actor]
          seat.presence = presence
          seat.since = entry.at
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
        'planned' => :planned, 'opened' => :opened, 'ended' => :ended, 'joined' => :joined, 'dropped' => :dropped,
        'left' => :left, 'moved' => :moved, 'extended' => :extended, 'shown' => :shown_on,
        'hand_raised' => :hand_raised, 'hand_lowered' => :hand_lowered, 'ruled' => :ruled, 'recording' => :recording,
        'cued' => :cue_fired, 'timer_stopped' => :timer_stopped
      }.transform_values { |name| Sitting.instance_method(name) }.freeze
    end
  end
end
