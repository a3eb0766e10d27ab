# frozen_string_literal: true

module Demo
  # Carries out commands at times of the past, through the same door as everyone's.
  class Hands
    # @param archive [Veranda::Store::Archive]
    def initialize(archive)
      @performer = Veranda::Deciding::Performer.new(archive.log, rng: Random.new(3))
      @count = 0
    end

    # @param person [String] id
    # @param wire_name [String]
    # @param stream [String]
    # @param at [Integer] ms since the epoch
    # @param sitting [String, nil] id of the class
    # @raise [Veranda::Core::Refusal] the demo asks for nothing that is not allowed
    def do(person, wire_name, stream, at:, sitting: nil, **input)
      order = Veranda::Deciding::Order.of(wire_name, JSON.parse(JSON.generate(input)), stream: stream, sitting: sitting,
                                                                                       by: School.person(person), id: "demo#{@count += 1}")
      outcome = @performer.perform([order], at: at).first
      raise outcome.refusal if outcome.refusal
    end

    # Puts marks on a board that is being prepared.
    def prepare(person, board, marks, at:)
      marks.each_with_index do |mark, index|
        self.do(person, 'board.put', "board/#{board}", at: at + index * 4_000, marks: [mark])
      end
    end
  end
end
