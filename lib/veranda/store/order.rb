# frozen_string_literal: true

module Veranda
  module Store
    # A command on its way: what is to be done, on which stream, by whom, in which class.
    #
    # @!attribute id [String] the client's id; the same id is never carried out twice
    # @!attribute command [Class<Core::Command>]
    # @!attribute input [Hash] checked against the command's contract
    # @!attribute stream [String]
    # @!attribute sitting [String, nil] stream of the class it happens in
    # @!attribute by [Core::Person]
    # @!attribute outside [String, nil] what students may do with the board when there is no class
    # @!attribute again [Boolean] whether it may have been carried out already
    Order = Struct.new(:id, :command, :input, :stream, :sitting, :by, :outside, :again, keyword_init: true) do
      # Looks the command up and checks its input.
      # @raise [Core::Refusal] `unknown_command`, `bad_input`, `wrong_stream`
      def self.of(wire_name, input, stream:, by:, id: Ids.call, sitting: nil, outside: nil, again: false)
        command = Core::Commands.fetch(wire_name)
        unless command.stream_kind == Core::Streams::StreamName.kind(stream)
          raise Core::Refusal.new(:wrong_stream, "#{wire_name} cannot be done there.")
        end

        new(id: id, command: command, input: Core::Contract.check(command.contract, input), stream: stream, by: by,
            sitting: command.stream_kind == :sitting ? stream : sitting, outside: outside, again: again)
      end

      # @return [Array<String>] streams that it reads or writes
      def streams = [stream, sitting].compact.uniq
    end

    # What became of an order: `entry` (nil when nothing had to change), or `refusal`.
    # `seq` is the entry's, or that of the earlier one for an order that came again.
    Outcome = Struct.new(:order, :entry, :seq, :refusal, keyword_init: true)
  end
end
