# frozen_string_literal: true

module Veranda
  module Store
    # What is counted and then added to is done by one at a time, on whichever process they are: a limit holds only where nobody else adds
    # between the count and what follows it.
    #
    #   Turn.of(db, 'uploads', person) { begin_another if open_of(person) < MOST }
    module Turn
      module_function

      # @param db [Sequel::Database]
      # @param what [Array<String>] names what is counted
      # @yield when it is one's turn, in a transaction that ends it
      # @return [Object] what the block answers
      def of(db, *what)
        db.transaction do
          # Held until the transaction ends, see https://www.postgresql.org/docs/15/explicit-locking.html#ADVISORY-LOCKS.
          db.get(Sequel.function(:pg_advisory_xact_lock, key(what)).cast(:text))
          yield
        end
      end

      # What commits by itself: whoever comes while somebody else is at it waits until they are through. It is over when the block is, or
      # when its connection is.
      # @return [Object] what the block answers
      def after_others(db, *what, &block)
        db.synchronize do
          db.get(Sequel.function(:pg_advisory_lock, key(what)).cast(:text))
          held(db, what, &block)
        end
      end

      # What takes longer than anybody should wait for: whoever comes while somebody else is at it goes away again.
      # @return [Boolean] whether it was one's turn
      def alone(db, *what, &block)
        db.synchronize do
          next false unless db.get(Sequel.function(:pg_try_advisory_lock, key(what)))

          held(db, what, &block)
          true
        end
      end

      def held(db, what)
        yield
      ensure
        db.get(Sequel.function(:pg_advisory_unlock, key(what)))
      end
      private_class_method :held

      def key(what) = Sequel.function(:hashtextextended, what.join(' '), 0)
      private_class_method :key
    end
  end
end
