# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # What is to be done in a lesson: its steps in order, its times, and what those find who come to its doors. It knows which entry set
      # each field last, and whose that was, so that nobody writes over what they have not seen.
      class Plan
        # What the lesson itself has, besides its steps; `starts_at` in ms since the epoch.
        FIELDS = %i[title starts_at minutes record_from welcome welcome_ink welcome_picture invited_only cancelled].freeze
        # Where it stands, which no command changes: `slot` is what its series says of it, see {Calendar::Laying}; `held` that the doors of
        # a class of it were opened.
        PLACE = %i[course_id number series slot held].freeze
        PLAIN = { course_id: nil, number: nil, series: nil, slot: nil, held: false, title: nil, starts_at: 0, minutes: 90, record_from: nil,
                  welcome: '', welcome_ink: nil, welcome_picture: nil, invited_only: false, cancelled: false }.freeze
        private_constant :PLAIN

        # What a step has that nothing was said of.
        STEP = { title: '', minutes: 10, shortest: 5, notes: '', board: nil, material: nil, rules: nil, cues: [], leads: 'paper' }.freeze
        # Of one lesson, at most.
        MOST_STEPS = 60

        # @return [Array<Hash>] `{ id:, **STEP }`, in order
        attr_reader :steps

        def initialize
          @facts = PLAIN
          @steps = []
          @set = {}
        end

        def initialize_copy(_other)
          super
          @steps = @steps.dup
          @set = @set.dup
        end

        # @return [Boolean]
        def begun? = !@facts[:course_id].nil?

        # @return [Object] one of {FIELDS}, or of {PLACE}
        def [](field) = @facts[field]

        # @return [Hash, nil]
        def step(id) = @steps.find { |step| step[:id] == id }

        # @param id [String, nil] of a step; nil for the lesson itself
        # @param fields [Array<Symbol>]
        # @param seen [Integer] number of the last entry that somebody has seen
        # @return [Array<Symbol>] those of the fields that somebody else has set since
        def set_since(id, fields, seen:, by:)
          fields.select { |field| @set[key(id, field)]&.then { |seq, actor| seq > seen && actor != by } }
        end

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'plan_begun', 'plan_set' then set(body, entry)
          when 'step_added' then add(STEP.merge(body[:step]), body[:after])
          when 'step_set' then set_step(body[:id], body[:set], entry)
          when 'step_moved' then step(body[:id])&.then { |step| put(step, body[:after]) }
          when 'step_taken' then take(body[:id])
          end
          self
        end

        # @return [Integer]
        def size = 1 + @steps.length

        # @return [Hash] {PLACE}, {FIELDS} and `steps:`
        def facts = { **@facts, steps: @steps }
        alias view facts

        def to_h = { **facts, set: @set.map { |at, (seq, by)| [*at, seq, by] } }

        # @param facts [Hash] as written by {#to_h}, or the bare {#facts}
        def self.from(facts) = new.tap { |plan| plan.send(:restore, facts) }

        private

        # Fields and not steps: a plan is set anew, and steps are set each by itself.
        def key(id, field) = [id, field.to_s]

        def set(body, entry)
          laid = body[:steps]
          facts = body.slice(*PLACE, *FIELDS)
          @facts = @facts.merge(facts)
          facts.each_key { |field| note(nil, field, entry) }
          return unless laid

          @steps = laid.map { |step| STEP.merge(step) }
          @steps.each { |step| STEP.each_key { |field| note(step[:id], field, entry) } } if entry.kind == 'plan_set'
        end

        def set_step(id, fields, entry)
          at = @steps.index { |step| step[:id] == id } or return
          @steps[at] = @steps[at].merge(fields)
          fields.each_key { |field| note(id, field, entry) }
        end

        def note(id, field, entry) = @set[key(id, field)] = [entry.seq, entry.actor]

        # Comes behind another step; first of all where there is none to follow, and last where that one went.
        def add(step, after)
          place = after.nil? ? 0 : (@steps.index { |one| one[:id] == after } || (@steps.length - 1)) + 1
          @steps.insert(place, step)
        end

        def put(step, after)
          @steps.delete(step)
          add(step, after)
        end

        def take(id)
          @steps.reject! { |step| step[:id] == id }
          @set.reject! { |(of, _), _| of == id }
        end

        def restore(facts)
          @facts = PLAIN.merge(facts.slice(*PLAIN.keys))
          @steps = facts[:steps].map { |step| STEP.merge(step) }
          @set = (facts[:set] || []).to_h { |id, field, seq, by| [[id, field], [seq, by]] }
        end
      end
    end
  end
end
