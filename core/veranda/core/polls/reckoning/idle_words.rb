# frozen_string_literal: true

require 'set'

module Veranda
  module Core
    module Polls
      # Words that tell nothing by themselves, so that a cloud leaves them out: articles, pronouns, the commonest prepositions and
      # conjunctions and the forms of to be and to have. In the form that {Likeness} gives them.
      module IdleWords
        ENGLISH = %w[
          a an the this that these those and or but nor so yet if than as because while of in on at by for with about against
          between into through during before after above below to from up down out off over under again then once here there
          when where why how all any both each few more most other some such no not only own same too very can will just
          should now i me my we our you your he him his she her it its they them their what which who whom am is are was were
          be been being have has had having do does did doing would could
        ].to_set { |word| Likeness.key(word) }.freeze
      end
    end
  end
end
