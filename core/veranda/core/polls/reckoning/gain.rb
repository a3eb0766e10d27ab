# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # How much of what could be gained was gained between two rounds: ⟨g⟩ = (post − pre) / (1 − pre), where pre and post are the shares
      # that were right. R. R. Hake, Interactive-engagement versus traditional methods, American Journal of Physics 66, 64 (1998).
      module Gain
        # Hake's bounds between a low, a medium and a high gain.
        MEDIUM = 0.3
        HIGH = 0.7
        # So many right, and it is worth that pairs discuss before another round. C. H. Crouch and E. Mazur, Peer Instruction: Ten years of
        # experience and results, American Journal of Physics 69, 970 (2001).
        DISCUSS = (0.35..0.70)

        module_function

        # @param pre [Float] 0..1
        # @param post [Float] 0..1
        # @return [Float, nil] nil where all were right before: there was nothing to gain
        def of(pre, post) = pre >= 1 ? nil : (post - pre) / (1.0 - pre)

        # @return [Symbol] `:low`, `:medium` or `:high`
        def level(gain)
          return :low if gain < MEDIUM

          gain < HIGH ? :medium : :high
        end

        # @param right [Float, nil] share that was right
        def discuss?(right) = !right.nil? && DISCUSS.cover?(right)
      end
    end
  end
end
