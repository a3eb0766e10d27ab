# frozen_string_literal: true

require 'set'

module Veranda
  module Live
    # Who looks into a lesson, or prepares it, without being in its class. While a class goes on, its rules count here too, and whoever was
    # turned out of it is so by this door.
    class LessonDoor
      # @param gathering [Gathering]
      # @param lesson [Hash]
      # @param lane [Lane]
      # @param welcomes [Welcomes]
      def initialize(gathering, lesson, lane:, welcomes:)
        @gathering = gathering
        @lesson = lesson
        @sittings = gathering.hub.archive.sittings
        @lessons = gathering.hub.archive.lessons
        @lane = lane
        @welcomes = welcomes
        @classes = Set.new
      end

      # @param seen [Hash{String => Integer}] last seq that they have of each stream
      def come(peer, seen)
        @lane.visit(given_up: peer.method(:close)) do |performer|
          next unless @gathering.here?(peer)

          @sittings.open_of(@lesson[:id])&.then { |id| @classes << id }
          @welcomes.prepare(peer, performer, seen, @lesson)
        end
      end

      # Brings them in line with the lesson's boards, and with who was turned out.
      # @param staff [Boolean] whether those who teach are among them
      def review(performer, staff: true)
        @welcomes.review_lesson(peers.select { |peer| staff || !peer.person.staff? }, performer, @lesson)
      end

      # Something happened in a class of the lesson. From now on what it says of people is followed here, also where nobody is in it.
      # @param sitting_id [String]
      def follow(sitting_id)
        return unless peers.any? && @classes.add?(sitting_id)

        @lane.visit do |performer|
          # Whatever is held is followed.
          states(performer, sitting_id)
          review(performer)
        end
      end

      # @return [Boolean] whether one of them was turned out of a class that goes on
      def turned_out?(peer, performer)
        !peer.person.staff? && @classes.any? { |id| Core::Access.turned_out?(peer.person, *states(performer, id)) }
      end

      # Who draws on a board through this door does so by what is allowed outside of class.
      # @param order [Deciding::Order]
      def stand(order)
        board = @lessons.board(Core::Streams::StreamName.id(order.stream))
        order.outside = Core::Lessons::Outside.reads?(board, order.by.id) ? board[:outside] : 'closed'
        order.in_class(@sittings.open_of(@lesson[:id]))
      end

      private

      def peers = @gathering.peers.reject(&:sitting_id)

      def states(performer, sitting_id)
        names = Core::Streams::StreamName
        [names.sitting(sitting_id), names.staff(sitting_id)].map { |name| performer.copy(name).state }
      end
    end
  end
end
