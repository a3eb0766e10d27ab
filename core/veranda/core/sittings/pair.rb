# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Pairs were drawn ({Pairing}): each learns of their partners and who goes first, and may write to them whatever the rules are, until
      # the pairs are over, see {EndPairs}.
      class Pair < SittingCommand
        on :place, 'class.pair'
        touches :staff
        begins { |concern| concern.input[:pairs].flat_map { |pair| pair[:people] }.map { |id| concern.own_of(id) } }
        contract do
          required(:round).value(Types::ID)
          required(:size).value(:integer, included_in?: Pairing::SIZES)
          required(:seed).value(:integer)
          # Of which each pair gets a copy, see {Core::Errands}.
          optional(:board).value(Types::ID)
          required(:pairs).value(:array, min_size?: 1, max_size?: 500).each do
            hash { required(:people).value(:array, min_size?: 2, max_size?: 3).each(Types::ID) }
          end
        end

        def decide
          going_on!
          return if place.pairs&.fetch(:round) == input[:round]

          [entry('pairs_drawn', { round: input[:round], size: input[:size], pairs: input[:pairs].length }),
           entry('paired', input.slice(:round, :seed, :pairs, :board), on: :staff),
           *input[:pairs].flat_map { |pair| told(pair[:people]) }]
        end

        private

        def told(people)
          partners = people.map { |id| { id: id, name: sitting.seats[id]&.name || 'Somebody' } }
          people.map { |id| entry('partnered', { round: input[:round], people: partners }, on: scene.own_of(id)) }
        end
      end
    end
  end
end
