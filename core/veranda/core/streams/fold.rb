# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # Makes state out of entries. Each kind of stream has a state class that answers to
      # `new`, `apply(entry)`, `to_h` (all of it), `size`, `view` (what its readers see) and `.from(hash)`.
      #
      #   Fold.over('board/7', entries).marks
      #
      # States are owned by whoever folds them and change in place; commands only read them. A `dup` of one goes its own way, and costs
      # little: rows are replaced, never changed, so that a state copies its tables of them and no more.
      # Kinds of entries that a state does not know change nothing.
      module Fold
        # Kinds that change no state: they matter to whoever watches, not to what is.
        IDLE_KINDS = %w[pointed].freeze
        # Of recordings that were brought from elsewhere: the stream stands as its readers saw it, whatever was before. Only what is over
        # has such entries, so nobody follows one live.
        STOOD = 'stood'

        module_function

        # @param name [String] name of the stream
        # @return [Class]
        def state_class(name) = Kinds.of(name).state_class

        # @return [Object] empty state
        def start(name) = state_class(name).new

        # @param name [String]
        # @param entries [Enumerable<Entry>]
        # @param from [Object] state to go on from
        # @return [Object] the state
        def over(name, entries, from: start(name))
          entries.reduce(from) { |state, entry| entry.kind == STOOD ? seen(name, entry.body[:view]) : state.apply(entry) }
        end

        # @param name [String]
        # @param view [Hash] what readers of the stream see, with symbol keys
        # @return [Object] state; of a board nothing can be taken back
        def seen(name, view) = restore(name, StreamName.kind(name) == :board ? { **view, history: [] } : view)

        # @param snapshot [Hash] as written by a state's `to_h`, with symbol keys
        def restore(name, snapshot) = state_class(name).from(snapshot)
      end
    end
  end
end
