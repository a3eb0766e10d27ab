# frozen_string_literal: true

module Veranda
  module Deciding
    # A command on its way: what is to be done, on which stream, by whom, in which class.
    #
    # @!attribute id [String] the client's id; the same id is never carried out twice
    # @!attribute command [Class<Core::Command>]
    # @!attribute input [Hash] checked against the command's contract
    # @!attribute stream [String] its home
    # @!attribute concern [Core::Streams::Concern] which streams it has to do with
    # @!attribute by [Core::Person]
    # @!attribute outside [String, nil] what students may do with the board, for those who come by the lesson's door
    # @!attribute again [Boolean] whether it may have been carried out already
    Order = Struct.new(:id, :command, :input, :stream, :concern, :by, :outside, :again, keyword_init: true) do
      # Looks the command up and checks its input.
      # @param sitting [String, nil] id of the class in which a board is drawn on
      # @raise [Core::Refusal] `unknown_command`, `bad_input`, `wrong_stream`
      def self.of(wire_name, input, stream:, by:, id: Store::Ids.call, sitting: nil, outside: nil, again: false)
        command = Core::Commands.fetch(wire_name)
        unless command.stream_kind == Core::Streams::StreamName.kind(stream)
          raise Core::Refusal.new(:wrong_stream, "#{wire_name} cannot be done there.")
        end

        new(id: id, command: command, input: Core::Contract.check(command.contract, input), stream: stream, by: by,
            outside: outside, again: again).in_class(Core::Streams::StreamName.sitting_id(stream) || sitting)
      end

      # @param sitting_id [String, nil]
      # @return [Order] itself, happening in that class
      def in_class(sitting_id)
        self.concern = Core::Streams::Concern.new(stream, sitting_id: sitting_id, by: by.id, input: input)
        @writes = @reads = @begins = nil
        self
      end

      # @return [String, nil] id of the class it happens in
      def sitting_id = concern.sitting_id

      # @return [Array<String>] streams that it may write to
      def writes = @writes ||= command.writes(concern)

      # @return [Array<String>] streams that it looks at, those among them that say who may read what
      def reads = @reads ||= (command.reads(concern) | audience) - writes

      # @return [Array<String>] those that may have to be begun
      def begins = @begins ||= command.begins_of(concern)

      # @return [String, nil] id of the course, of what happens in none of its classes
      def course_id = concern.course_id

      # @return [Boolean] whether the server itself gives it, so that it is not asked who reads the stream
      def internal? = Core::Commands::INTERNAL.include?(command)

      private

      # Streams that say who reads which. In whose threads somebody is, their own stream says.
      def audience
        return [] if internal?
        return [concern.name(:people)] if course_id
        return [] unless sitting_id

        own = :own if Core::Streams::StreamName.kind(stream) == :thread
        [:sitting, :staff, *own].map { |role| concern.name(role) }
      end
    end

    # What became of an order: the `entries` it caused (none when nothing had to change), the `ballots` of which none was made and the
    # `errands` that follow, or `refusal`. `seq` is the last one's on its home stream, or that of the earlier one for an order that came
    # again.
    Outcome = Struct.new(:order, :entries, :ballots, :errands, :seq, :refusal, keyword_init: true) do
      def initialize(entries: [], ballots: [], errands: [], **facts) = super
    end
  end
end
