# frozen_string_literal: true

module Veranda
  module Live
    # Sees to it that nobody goes on in a part that is not theirs any more: whoever plays another one in the course, or none in the lesson,
    # is hung up on, and says hello anew as what they are.
    class PartsPlayed
      # s between tries, while the database is away, and until those are there who were on their way.
      PAUSE = 1

      # @param hub [Hub]
      def initialize(hub)
        @hub = hub
      end

      # @param gathering [Gathering]
      def recheck(gathering)
        peers = gathering.peers
        roles = @hub.archive.people.roles_in(peers.map { |peer| peer.person.id }, gathering.lesson)
        peers.each { |peer| peer.close unless roles[peer.person.id] == peer.person.role }
      end

      # Tried until it is seen to: else somebody would go on as they came. And once more for those who were on their way in.
      # @param gatherings [Array<Gathering>]
      def recheck_soon(gatherings)
        return if gatherings.empty?

        @hub.background do
          gatherings.each { |gathering| recheck(gathering) }
          sleep PAUSE
          gatherings.each { |gathering| recheck(gathering) }
        rescue *Store::Database::AWAY => e
          Complaint.of(self, 'Who plays which part could not be looked up', e)
          sleep PAUSE
          retry
        end
      end
    end
  end
end
