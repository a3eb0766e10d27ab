# frozen_string_literal: true

module Veranda
  module Preparing
    # Carries out what must follow entries ({Core::Errands}). Any number of processes may: each errand is carried out by one at a time, and
    # by another if that one dies over it.
    class Errands
      # @param archive [Store::Archive]
      # @param video_sites [Array<String>] see {LinkedVideo}
      def initialize(archive, video_sites: [])
        @archive = archive
        @tasks = Tasks.new(archive, video_sites: video_sites)
      end

      # Carries out what is due.
      # @return [Integer] how many were
      def call = @archive.errands.due.count { |row| alone(row[:id]) { carry_out(row[:id]) } }

      # Does something of several commits that somebody waits for. Should this process die over it, it is done by another.
      # @param task [Symbol]
      # @param facts [Hash] what {Tasks} takes, which may be done twice
      # @return [Object] what it came to
      # @raise [Core::Refusal] `goes_on` when it could not be done at once, and is tried again without whoever asked
      def now(task, **facts)
        id = @archive.errands.ask(Core::Errands::Errand.new(facts.fetch(:act), task.to_s, facts), within: PATIENCE)
        result = nil
        alone(id) { result = begun(@archive.errands.find(id)) } or raise goes_on
        result
      rescue Core::Refusal
        raise
      rescue StandardError => e
        # Without its row nobody will.
        raise unless id

        Complaint.of(self, "#{task} could not be done at once", e)
        raise goes_on
      end

      # s in which whoever asked is through with it, if they ever are.
      PATIENCE = 30
      private_constant :PATIENCE

      private

      # Asked for once more, it would be done twice.
      def goes_on
        Core::Refusal.new(:goes_on, 'This takes longer than it should. It is tried again by itself; look once more in a minute.')
      end

      # @return [Boolean] whether nobody else is at it
      def alone(id, &) = Store::Turn.alone(@archive.db, 'errand', id, &)

      def carry_out(id)
        row = @archive.errands.find(id) or return
        begun(row) { |refusal| @tasks.refused(row, refusal) }
      rescue Core::Refusal
        nil
      rescue StandardError => e
        Complaint.of(self, "#{row[:key]} could not be carried out (try #{row[:tries] + 1})", e)
        @archive.log.disconnect if e.is_a?(Sequel::DatabaseDisconnectError)
        @archive.errands.failed(row, "#{e.class}: #{e.message}")
      end

      # What is refused would be refused again.
      # @yieldparam refusal [Core::Refusal] to be told to whoever waits for it
      def begun(row)
        @tasks.public_send(row[:task], **row[:facts]).tap { @archive.errands.done(row) }
      rescue Core::Refusal => e
        yield e if block_given?
        @archive.errands.done(row)
        raise
      end
    end
  end
end
