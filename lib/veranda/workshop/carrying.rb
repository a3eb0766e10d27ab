# frozen_string_literal: true

module Veranda
  module Workshop
    # Carries out errands in a worker process for as long as it lives: at once when there are new ones, and those that failed when it is
    # time to try again.
    class Carrying
      # How many are carried out side by side: one that computes holds up none that copies.
      HANDS = 2
      # s until it is looked again for what nobody spoke of.
      LOOK = 5
      # s until what listens is tried again after a fault.
      PAUSE = 1

      # @param archive [Store::Archive]
      # @param errands [Preparing::Errands]
      def initialize(archive, errands)
        @archive = archive
        @errands = errands
        @lock = Mutex.new
        @bell = ConditionVariable.new
        @rung = 0
      end

      # @return [Array<Thread>]
      def start = [Thread.new { listen }, *Array.new(HANDS) { Thread.new { carry } }]

      private

      def listen
        @archive.db.listen(Store::Errands::CHANNEL, loop: true) { ring }
      rescue StandardError => e
        # It is being ended: that the database could not be told so is not a fault to go on after.
        return if Thread.current.status == 'aborting'

        Console.warn(self, 'It cannot be heard of new errands', e)
        sleep PAUSE
        retry
      end

      def ring
        @lock.synchronize do
          @rung += 1
          @bell.broadcast
        end
      end

      def carry
        loop do
          heard = @rung
          wait(heard) unless look
        end
      end

      # @return [Boolean] whether there was something to do
      def look
        @errands.call.positive?
      rescue StandardError => e
        Console.warn(self, 'Errands could not be looked through', e)
        sleep PAUSE
        false
      end

      def wait(heard) = @lock.synchronize { @bell.wait(@lock, LOOK) if @rung == heard }
    end
  end
end
