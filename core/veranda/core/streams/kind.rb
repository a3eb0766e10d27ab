# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # What is true of all streams of one kind. Each kind is one file in `kinds`, and nothing else has a list of them: there it says what
      # its streams belong to, what state their entries make, who reads them and whether recordings show them.
      #
      #   class Questions < Kind
      #     def state_class = Core::Questions::Questions
      #     def told(reader) = reader.waits? ? [] : [name(reader.id)]
      #     def recorded(sitting) = [name(sitting.id)]
      #   end
      class Kind
        # @return [Symbol] what stands before the slash
        def kind = @kind ||= self.class.name[/\w+\z/].downcase.to_sym

        # @return [Symbol] what its streams belong to, and go with: a `:class`, a `:course`, or themselves (`:itself`)
        def owner = :class

        # @return [Symbol, nil] what follows the dot: a `:place`, a `:person`, a `:thread`, a `:poll`
        def part = nil

        # @param id [String] of what it belongs to
        # @param part [String] of which it is, where it has parts
        # @return [String] the stream's name
        def name(id, part = nil) = part ? "#{kind}/#{id}.#{part}" : "#{kind}/#{id}"

        # @return [Class] see {Fold}
        def state_class
          raise NotImplementedError, self.class.name
        end

        # @param reader [Access::InClass, Access::InCourse]
        # @return [Array<String>] those of its streams that somebody is told of by themselves
        def told(_reader) = []

        # Staff read more of a class than they are told of: what concerns single people, and everybody's copies.
        # @param stream [String] one of its streams
        # @return [Boolean]
        def reads?(reader, stream) = reader.staff? ? StreamName.id(stream) == reader.id : told(reader).include?(stream)

        # @param sitting [Sittings::Sitting]
        # @return [Array<String>] those of its streams that the recording of a class shows, as far as the class tells which there are
        def recorded(_sitting) = []

        # @return [Boolean] whether recordings, and their zips, hold such streams
        def recorded? = false
      end
    end
  end
end
