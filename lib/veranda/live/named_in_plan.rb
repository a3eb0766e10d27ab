# frozen_string_literal: true

module Veranda
  module Live
    # A plan may name only boards of its lesson, materials that whoever writes it may see, and a picture of its own shelf. What it names
    # already may stay.
    class NamedInPlan
      # @param archive [Store::Archive]
      # @param lesson_id [String]
      def initialize(archive, lesson_id)
        @archive = archive
        @lesson_id = lesson_id
      end

      # @param order [Deciding::Order] on the plan
      # @raise [Core::Refusal] `no_such_board`, `no_such_material`
      def check!(order)
        set = order.input[:set] or return
        lesson = @archive.lessons.fetch(@lesson_id)
        boards!(set) if set[:board] || set[:cues]
        materials!(order.by, named(set) - lesson[:steps].flat_map { |step| named(step) })
        picture!(lesson, set[:welcome_picture]) if set[:welcome_picture]
      end

      private

      def boards!(set) = Core::Lessons::PlanStep.on_boards!(set, @archive.lessons.boards(@lesson_id).map { |board| board[:id] })

      # What is at hand in a step, played by its cues, or shown by their polls.
      def named(step) = [step[:material], *(step[:cues] || []).flat_map { |cue| Core::Lessons::Cues.materials(cue) }].compact

      def materials!(person, ids)
        return if ids.empty? || Preparing::Reader.new(@archive, person.to_h.merge(stand_in: person.stand_in?)).slides?(ids)

        raise Core::Refusal.new(:no_such_material, 'There is no such material for you to show.')
      end

      def picture!(lesson, id)
        material = @archive.materials.find_all([id]).first
        return if material && material[:course_id] == lesson[:course_id] && material[:kind] == 'picture' && material[:sitting_id].nil?

        raise Core::Refusal.new(:no_such_material, 'There is no such picture on this shelf.')
      end
    end
  end
end
