# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Writes on in a thread that one is in.
      class WriteInThread < Command
        include Threads

        on :thread, 'thread.post'
        looks_at :sitting, :place, :own
        contract do
          required(:id).value(Types::ID)
          required(:text).value(:string)
          optional(:file).value(Types::ID)
        end

        def decide
          may_write_to!(state.people)
          somebody_here!(state.people, state.staff)
          may! :bring if input[:file]
          entry('posted', { **WritePost.fit(input, state), to: TO, name: by.name })
        end
      end
    end
  end
end
