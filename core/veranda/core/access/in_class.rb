# frozen_string_literal: true

module Veranda
  module Core
    module Access
      # Somebody who looks at a class: how they stand in it, and which of its streams they read.
      class InClass
        # @return [Person]
        attr_reader :person
        # @return [Sittings::StaffFacts]
        attr_reader :facts
        # @return [Sittings::OwnFacts, nil]
        attr_reader :own

        # @param person [Person]
        # @param sitting [Sittings::Sitting]
        # @param facts [Sittings::StaffFacts]
        # @param own [Sittings::OwnFacts, nil] what concerns the person alone; without it they are in no threads
        def initialize(person, sitting, facts, own = nil)
          @person = person
          @sitting = sitting
          @facts = facts
          @own = own
        end

        # @return [String] id of the class
        def id = @sitting.id

        # @return [Symbol, nil] `:staff`, `:in`, `:waiting`, or nil for those with no part in the class
        def standing = defined?(@standing) ? @standing : @standing = stands

        def staff? = standing == :staff
        def waits? = standing == :waiting

        # The streams that somebody is told of by themselves. Staff may read everybody's copies of what was handed out too ({#reads?}), and
        # are told of those that they look at.
        # @return [Array<String>] names
        def streams = standing ? Streams::Kinds.of_classes.flat_map { |kind| kind.told(self) } : []

        # @param stream [String]
        # @return [Boolean]
        def reads?(stream)
          kind = Streams::Kinds.of(stream)
          Streams::Kinds.of_classes.include?(kind) && !standing.nil? && kind.reads?(self, stream)
        end

        # @return [String] the place they are in
        def place = waits? ? Sittings::Places::WAITING : @sitting.seats[@person.id]&.place

        # @return [Array<String>] ids of all places that people are let in to
        def places = @sitting.places.map { |place| place[:id] }

        # @param place [String]
        # @return [Boolean] whether staff read what is written there
        def overhears?(place)
          rooms = @facts.activities
          rooms.open_rooms.none? { |room| room[:id] == place } || rooms.doors_open? || self.place == place
        end

        # @return [Array<Hash>] boards that may be theirs to read, see {#board?}
        def boards
          return [] if waits?

          [*@facts.boards, *@facts.copies_for(@person.id), *@facts.activities.boards_for(@person.id, place)]
        end

        # @param board [Hash, nil] as the class knows it
        # @return [Boolean] whether they may read it in this class
        def board?(board)
          return false if board.nil? || waits?
          return true if staff?
          return room_board?(board) if board[:room]

          Lessons::Audience.includes?(board, @person.id) && (!@sitting.ended? || Lessons::Outside.reads?(board, @person.id))
        end

        private

        def stands
          return if @sitting.rehearsal && !(@person.staff? || @person.stand_in?)
          return if @person.stand_in? && !@sitting.rehearsal
          return :staff if @person.staff?
          return if @facts.removed.key?(@person.id)
          return :in if @sitting.in?(@person.id)

          :waiting unless @sitting.ended?
        end

        # While a room is open, whoever is in it; from then on, those who sat in it, and everyone where it is shared.
        def room_board?(board)
          board[:open] ? !@sitting.ended? && place == board[:room] : board[:shared] || board[:sat].include?(@person.id)
        end
      end
    end
  end
end
