# frozen_string_literal: true

module Veranda
  module Live
    # Everyone in this process who looks at one course: what somebody changes there, the others see at once.
    class CourseCompany < Company
      WHO = %w[enrolled role_given taken_out].freeze
      private_constant :WHO

      # @param course_id [String]
      # @param hub [Hub]
      def initialize(course_id, hub)
        super(hub)
        @people = Core::Streams::StreamName.people(course_id)
        @course_id = course_id
      end

      # Subscribes a peer and tells it everything it has missed. One that cannot be told is hung up on, and comes again by itself.
      # @param seen [Hash{String => Integer}]
      def welcome(peer, seen)
        @peers << peer
        @lane.visit(given_up: peer.method(:close)) { |performer| let_in(peer, performer, seen) if here?(peer) }
      end

      private

      # Who belongs to the course, another process may know better for a moment than this one does, and the other way round.
      def let_in(peer, performer, seen)
        performer.catch_up(@people) unless as_known?(peer)
        return peer.close unless as_known?(peer)

        streams = Core::Access::InCourse.new(peer.person, @course_id, performer.copy(@people).state).streams
        @greetings.greet(peer, performer, streams, seen)
      end

      def as_known?(peer) = @performer.copy(@people).state.role(peer.person.id) == peer.person.role

      # Whoever plays another part than when they came says hello anew; until then they are told nothing that is not theirs any more.
      def readers(stream)
        people = @performer.copy(@people).state
        super.select { |peer| Core::Access::InCourse.new(peer.person, @course_id, people).reads?(stream) }
      end

      def follow_up(entry)
        return unless WHO.include?(entry.kind)

        peers.each { |peer| peer.close unless as_known?(peer) }
      end
    end
  end
end
