# frozen_string_literal: true

module Veranda
  module Core
    # Everything a command may look at: the states of the streams it concerns, who asks, when, and a
    # source of chance. Outside of a class there is no sitting and no place.
    class Scene
      # @return [Person]
      attr_reader :by
      # @return [Integer] ms since the epoch
      attr_reader :at
      # @return [Random]
      attr_reader :rng
      # @return [String, nil] what students may do with the board outside of class: `closed`, `read` or `work`
      attr_reader :outside
      # @return [#call] answers with the home stream's state as it was at an earlier seq
      attr_reader :earlier

      # @param concern [Streams::Concern]
      # @yieldparam stream [String]
      # @yieldreturn [Object] the state of that stream
      def initialize(concern, by:, at:, rng:, outside: nil, earlier: nil, &state_of)
        @concern = concern
        @by = by
        @at = at
        @rng = rng
        @outside = outside
        @earlier = earlier
        @state_of = state_of
      end

      # @return [String, nil] name of a stream, see {Streams::Concern#name}
      def name(role) = @concern.name(role)

      # @return [String] name of the stream of what concerns another person
      def own_of(person_id) = @concern.own_of(person_id)

      # @return [String, nil] name of the stream of a thread
      def thread_of(id) = @concern.thread_of(id)

      # @return [Object] state of the stream the command was given on
      def state = of(:home)

      # @return [Sittings::Sitting, nil]
      def sitting = of(:sitting)

      # @return [Sittings::Place, nil] the place that the home stream belongs to
      def place = of(:place)

      # @return [Sittings::StaffFacts, nil]
      def staff = of(:staff)

      # @return [Object, nil] the state of a stream that the command has declared
      def of(role) = name(role)&.then(&@state_of)

      # @return [Boolean] whether the home stream is a board that is the asker's own
      def own?
        home = name(:home)
        !sitting.nil? && Streams::StreamName.kind(home) == :board && staff.own?(Streams::StreamName.id(home), by.id)
      end

      # @param right [Symbol]
      # @return [Rights::Answer] whether `by` has the right here and now, and why
      def right(right)
        Rights::Ask.call(right, by: by, sitting: sitting, place: place, outside: outside, own: own?, at: at)
      end
    end
  end
end
