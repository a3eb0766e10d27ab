# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Rolls, spins, starts or picks. The server draws; the seed is kept beside the result.
      class UseProp < BoardCommand
        SEEDS = 2**32

        on :board, 'board.use_prop'
        contract do
          required(:id).value(Types::ID)
          required(:action).value(:string, included_in?: %w[roll spin start pause reset pick again])
        end

        def decide
          may! :props
          mark = mark!(input[:id])
          open_page!(mark[:page])
          raise Refusal.new(:not_a_prop, 'That is nothing to roll, spin or start.') unless mark[:kind] == Mark::PROP

          seed = scene.rng.rand(SEEDS)
          shows = Props.use(mark[:prop], input[:action], settings: mark[:settings], shows: mark[:shows], at: scene.at,
                                                         seed: seed, present: present)
          signed('prop_used', { id: mark[:id], action: input[:action], seed: seed, shows: shows })
        end

        private

        def present
          return [] unless scene.sitting

          scene.sitting.present.select { |seat| seat.presence == 'here' && !Person::STAFF.include?(seat.role) }.map(&:name)
        end
      end
    end
  end
end
