# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # What is doubtful about a group plan that is prepared on a step, before the class: against the roster and the step.
      module Prepared
        module_function

        # @param step [Hash]
        # @param cue [Hash] one that splits into rooms
        # @param students [Array<Hash>] of the roster: `{ id:, name: }`
        # @return [Array<Array(Symbol, String)>] code and sentence
        def doubts(step, cue, students)
          plan = cue[:plan]
          name = "“#{cue[:label] || step[:title]}”"
          [unfit(plan, name, students.length), no_words(plan, name), too_long(plan, step, name), unmet(plan, name, students)].compact
        end

        def unfit(plan, name, count)
          return if count.zero?

          wished = plan[:by] == 'rooms' ? plan[:number] : [count / plan[:number], 1].max
          made = GroupPlan.sizes(plan, count).length
          return if plan[:by] == 'rooms' ? made == wished : plan[:number] <= count

          [:rooms_unfit, "#{name} wants #{wanted(plan)}, and there are #{count} students: it comes to #{made}."]
        end
        private_class_method :unfit

        def wanted(plan) = plan[:by] == 'rooms' ? "#{plan[:number]} rooms" : "rooms of #{plan[:number]}"
        private_class_method :wanted

        def no_words(plan, name)
          [:rooms_wordless, "#{name} splits into rooms and does not say what to do there."] if plan[:words].to_s.strip.empty?
        end
        private_class_method :no_words

        def too_long(plan, step, name)
          return unless plan[:minutes] && plan[:minutes] > step[:minutes]

          [:rooms_too_long, "#{name} takes #{plan[:minutes]} min in rooms, and its step has #{step[:minutes]}."]
        end
        private_class_method :too_long

        def unmet(plan, name, students)
          ids = students.map { |student| student[:id] }
          wishes = (plan[:wishes] || []).map { |wish| Groups::Wish.from(wish).among(ids) }.select(&:hard?)
          return if wishes.empty? || ids.length < 2

          found = Groups::Contradiction.new(ids, GroupPlan.sizes(plan, ids.length), rng: Random.new(1)).smallest(wishes) or return
          said = Unmet.contradiction(found, students.to_h { |student| student.values_at(:id, :name) })
          [:rooms_unmet, "#{name}: #{said[0].downcase}#{said[1..]}"]
        end
        private_class_method :unmet
      end
    end
  end
end
