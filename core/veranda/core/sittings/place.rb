# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What is the same for everyone in one place of a class: what is on show, the house rules, the timer, the floor, whose
      # hands are up and who signals what. The waiting room has instead what those who wait may know of the class.
      class Place
        FIELDS = %i[shown timer hands floor leader pairs welcome hosts room call announced screen clip large captions].freeze

        # @return [Hash, nil] `{ board:, page: }`
        attr_reader :shown
        # @return [Hash, nil] `{ ends_at:, label:, until_done: }`, ms since the epoch
        attr_reader :timer
        # @return [Array<String>] ids of people in order of asking
        attr_reader :hands
        # @return [Hash, nil] see {Floor}
        attr_reader :floor
        # @return [Hash, nil] `{ person:, name:, since:, paused:, front: }` of whoever shares a screen; `front` while no board was shown
        #   since
        attr_reader :screen
        # @return [String, nil] id of whose picture is large for everybody
        attr_reader :large
        # @return [Hash, nil] what plays for everybody, see {Clip}
        attr_reader :clip
        # @return [Hash{String => Hash}] `{ person:, signal:, at: }` by person, in the order in which they were given
        attr_reader :signals
        # @return [Rights::HouseRules]
        attr_reader :rules
        # @return [String, nil] whose view everyone has while the place is kept together
        attr_reader :leader
        # @return [Hash, nil] `{ round:, size:, pairs: }`, `pairs` how many, while people work in pairs
        attr_reader :pairs
        # @return [Hash, nil] of a breakout room: `{ activity:, name:, title:, boards:, words:, ends_at:, grace:, warnings:, free:, read:,
        #   opened_at:, closed: }`, see {Rooms::GroupPlan}
        attr_reader :room
        # @return [Hash, nil] `{ person:, name:, since: }` while a room calls
        attr_reader :call
        # @return [Array<Hash>] `{ id:, words:, name:, at: }`, what was said to all rooms
        attr_reader :announced
        # @return [Array<Hash>] `{ id:, words:, lang:, by:, at: }`, what was last told in writing of what is said
        attr_reader :captions
        # @return [Boolean] whether staff read every thread that begins
        attr_reader :oversight
        # @return [Boolean] whether posts take signs
        attr_reader :reactions
        # @return [Hash, nil] of the waiting room: `{ title:, course:, starts_at:, minutes:, rehearsal: }`
        attr_reader :welcome
        # @return [Boolean] of the waiting room: whether the doors are open, so that who waits is let in by staff
        attr_reader :begun
        # @return [Array<Hash>] of the waiting room: `{ id:, name: }` of the staff who are there
        attr_reader :hosts

        def initialize
          @hands = []
          @hosts = []
          @announced = []
          @captions = []
          @begun = @oversight = false
          @reactions = true
          @signals = {}
          @rules = Rights::HouseRules.new
        end

        def initialize_copy(_other)
          super
          @signals = @signals.dup
        end

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          PlaceChanges.fetch(entry.kind) { return self }.bind_call(self, entry, entry.body)
          self
        end

        # @return [Integer] how much there is to write down
        def size = @hands.length + @signals.length

        def to_h
          own = FIELDS.to_h { |field| [field, instance_variable_get(:"@#{field}")] }
          own.merge(begun: @begun, oversight: @oversight, reactions: @reactions, signals: @signals.values, rules: @rules.to_h)
        end
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new.tap { |place| place.send(:restore, facts) }

        private

        def restore(facts)
          FIELDS.each { |field| instance_variable_set(:"@#{field}", facts[field]) }
          @announced ||= []
          @captions ||= []
          # Of earlier versions one person alone had it.
          @floor = { with: [], **@floor } if @floor
          @begun = facts[:begun] || false
          @oversight = facts[:oversight] || false
          @reactions = facts.fetch(:reactions, true)
          @signals = (facts[:signals] || []).to_h { |row| [row[:person], row] }
          @rules = Rights::HouseRules.from(facts[:rules])
        end

        # What comes last is in front.
        def shown_on(_entry, body)
          @shown = body[:board] && body.slice(:board, :page)
          behind(:@screen, :@clip)
        end

        def behind(*names)
          names.each { |name| instance_variable_set(name, instance_variable_get(name)&.merge(front: false)) }
        end

        def screen_on(entry, body)
          behind(:@clip)
          @screen = { person: entry.actor, name: body[:name], since: entry.at, paused: false, front: true }
        end

        def clip_on(entry, body)
          behind(:@screen)
          @clip = { **body, playing: true, at: 0, since: entry.at, speed: 1.0, loop: nil, front: true }
        end

        def clip_set(entry, body)
          behind(:@screen)
          @clip = @clip&.merge(**body, since: entry.at, front: true)
        end

        def clip_off(_entry, _body) = @clip = nil

        def screen_off(_entry, _body) = @screen = nil

        def screen_paused(_entry, body)
          behind(:@clip)
          @screen = @screen&.merge(paused: body[:on], front: true)
        end

        def made_large(_entry, body) = @large = body[:person]

        # Lines of a caption that whoever comes late still reads.
        CAPTIONS = 3
        private_constant :CAPTIONS

        def captioned(entry, body)
          @captions = [*@captions, { **body.slice(:id, :words, :lang), by: entry.actor, at: entry.at }].last(CAPTIONS)
        end

        def timer_set(_entry, body) = @timer = body
        def timer_stopped(_entry, _body) = @timer = nil
        def hand_raised(entry, _body) = @hands |= [entry.actor]
        def hand_lowered(_entry, body) = @hands -= [body[:person]]

        def ruled(_entry, body)
          @rules = @rules.set(body[:right].to_sym, body[:allow], person: body[:person])
        end

        def rules_set(_entry, body)
          @rules = @rules.brought(body[:rules])
        end

        def floor_lent(entry, body) = @floor = { person: body[:person], with: body[:with] || [], since: entry.at, until: body[:until] }
        def floor_back(_entry, _body) = @floor = nil

        # Whoever gives another signal is then the last to have given one.
        def signalled(entry, body)
          @signals.delete(entry.actor)
          @signals[entry.actor] = { person: entry.actor, signal: body[:signal], at: entry.at }
        end

        def signal_off(_entry, body) = body[:people].each { |person| @signals.delete(person) }
        def signals_cleared(_entry, _body) = @signals = {}

        def pairs_drawn(_entry, body) = @pairs = body
        def pairs_over(_entry, _body) = @pairs = nil
        def together(entry, _body) = @leader = entry.actor
        def roaming(_entry, _body) = @leader = nil

        def exchange_set(_entry, body)
          @oversight = body[:oversight] if body.key?(:oversight)
          @reactions = body[:reactions] if body.key?(:reactions)
        end

        # Opened again, it begins anew, but for its boards and what is written.
        def room_opened(entry, body)
          @room = { **body, opened_at: entry.at, closed: false }
          @call = @timer = @floor = @screen = @clip = @large = nil
          @announced = []
          @signals = {}
          @hands = []
        end

        def room_given(_entry, body) = @room = @room&.merge(boards: @room[:boards] + [body[:board]])
        def room_timed(_entry, body) = @room = @room&.merge(body)
        def room_named(_entry, body) = @room = @room&.merge(body)

        def room_closed(_entry, _body)
          @room = @room&.merge(closed: true)
          @call = nil
        end

        def called(entry, body) = @call = { person: entry.actor, name: body[:name], since: entry.at }
        def call_answered(_entry, _body) = @call = nil

        ANNOUNCED = 20
        private_constant :ANNOUNCED

        def announcement(entry, body) = @announced = [*@announced, { **body, at: entry.at }].last(ANNOUNCED)

        def welcomed(_entry, body) = @welcome = body
        def begun_now(_entry, _body) = @begun = true
        def host_came(_entry, body) = @hosts = [*@hosts.reject { |host| host[:id] == body[:id] }, body]
        def host_went(_entry, body) = @hosts = @hosts.reject { |host| host[:id] == body[:id] }
      end

      # Which method of {Place} takes in which kind of entry.
      PlaceChanges = {
        'shown' => :shown_on, 'timer_set' => :timer_set, 'timer_stopped' => :timer_stopped, 'hand_raised' => :hand_raised,
        'hand_lowered' => :hand_lowered, 'ruled' => :ruled, 'rules_set' => :rules_set, 'welcomed' => :welcomed,
        'room_opened' => :room_opened, 'room_given' => :room_given, 'room_timed' => :room_timed, 'room_named' => :room_named,
        'room_closed' => :room_closed,
        'called' => :called, 'call_answered' => :call_answered, 'announced' => :announcement,
        'begun' => :begun_now, 'host_came' => :host_came, 'host_went' => :host_went,
        'pairs_drawn' => :pairs_drawn, 'pairs_over' => :pairs_over,
        'exchange_set' => :exchange_set, 'together' => :together,
        'roaming' => :roaming, 'screen_on' => :screen_on, 'screen_off' => :screen_off,
        'screen_paused' => :screen_paused, 'made_large' => :made_large, 'captioned' => :captioned,
        'clip_on' => :clip_on, 'clip_set' => :clip_set, 'clip_off' => :clip_off, 'floor_lent' => :floor_lent, 'floor_back' => :floor_back,
        'signalled' => :signalled, 'signal_off' => :signal_off, 'signals_cleared' => :signals_cleared
      }.transform_values { |name| Place.instance_method(name) }.freeze
    end
  end
end
