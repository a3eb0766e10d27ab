# frozen_string_literal: true

module Veranda
  module Live
    # A mark or a poll may name only a material that its author may see, and a post only a file that its author brought to the class: else
    # whoever knows an id could show it to themselves.
    class NamedMaterials
      # @param archive [Store::Archive]
      def initialize(archive)
        @archive = archive
      end

      # @param order [Deciding::Order]
      # @raise [Core::Refusal] `no_such_material`
      def check!(order)
        file = order.input[:file] || (order.input[:post].is_a?(Hash) && order.input[:post][:file])
        own!(order, file) if file
        named = shown(order.input)
        return if named.empty? || Preparing::Reader.new(@archive, order.by.to_h.merge(stand_in: order.by.stand_in?)).slides?(named)

        raise Core::Refusal.new(:no_such_material, 'There is no such material for you to show.')
      end

      private

      # @return [Array<String>] ids
      def shown(input)
        marks = (input[:marks] || []).filter_map { |mark| mark[:material] if mark.is_a?(Hash) }
        marks | (input[:question].is_a?(Hash) ? Core::Polls::Question.materials(input[:question]) : [])
      end

      def own!(order, id)
        material = @archive.materials.find_all([id]).first
        return if material && material[:sitting_id] == order.sitting_id && material[:made_by] == order.by.id

        raise Core::Refusal.new(:no_such_material, 'There is no such file of yours to post here.')
      end
    end
  end
end
