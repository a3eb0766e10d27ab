# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # Names of streams, `kind/id`. Those of a class carry its id, those of a course the course's; what belongs to one place of it, or
      # to one person in it, says so after a dot. {Kinds} has all kinds; each has a method here that makes its names:
      #
      #   StreamName.sitting('7')        #=> "sitting/7"
      #   StreamName.place('7', 'main')  #=> "place/7.main"
      module StreamName
        PATTERN = %r{\A[a-z]{1,12}/[\w-]{1,40}(?:\.[\w-]{1,40})?\z}

        module_function

        Kinds::ALL.each_value { |kind| define_method(kind.kind) { |*facts| kind.name(*facts) } }
        module_function(*Kinds::ALL.keys)

        # @param name [String]
        # @return [Symbol] the kind of stream
        # @raise [Refusal] `unknown_stream`
        def kind(name)
          Kinds::NAMES[name.to_s[%r{\A[a-z]+(?=/)}]] || raise(Refusal.new(:unknown_stream, 'There is no such board or class.'))
        end

        # @return [String] what follows the slash, up to the dot
        def id(name) = name[%r{/([^.]*)}, 1]

        # @return [String, nil] what follows the dot: a place or a person
        def part(name) = name[/\.(.*)\z/, 1]

        # @return [String, nil] id of the class that a stream belongs to; nil for boards, which outlive classes
        def sitting_id(name) = of(name, :class)

        # @return [String, nil] id of the course that a stream belongs to
        def course_id(name) = of(name, :course)

        def of(name, owner) = Kinds.of(name).owner == owner ? id(name) : nil
        private_class_method :of
      end
    end
  end
end
