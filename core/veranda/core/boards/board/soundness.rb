# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Looks at what a command is about to store: every mark it touches must still be one that can be drawn, written
      # to a file and read back. What fails here is a fault of ours and would otherwise stay in the log for good.
      module Soundness
        NUMBERS = %i[x y z w h width size angle].freeze

        module_function

        # @param marks [Hash{String => Hash}] as they are
        # @param ops [Array<Hash>] see {Edit}
        # @raise [Refusal] `mark_unsound`
        def check!(marks, ops)
          ops.each { |op| raise unsound unless sound?(after(marks, op), put: op[:op] == 'put') }
        end

        # @return [Hash, nil] the mark as the operation leaves it; nil when it goes or is gone
        def after(marks, op)
          case op[:op]
          when 'put' then op[:mark]
          when 'change' then marks[op[:id]]&.merge(op[:set])&.compact
          end
        end
        private_class_method :after

        # A mark that is just being put gets its place in the pile from the board.
        def sound?(mark, put:)
          return true if mark.nil?

          needed = Mark::ALWAYS + Mark::REQUIRED.fetch(mark[:kind], [:kind])
          needed -= [:z] if put
          needed.all? { |field| mark.key?(field) } && NUMBERS.all? { |field| number?(mark[field]) }
        end
        private_class_method :sound?

        def number?(value) = value.nil? || (value.is_a?(Numeric) && value.finite?)
        private_class_method :number?

        def unsound = Refusal.new(:mark_unsound, 'That would leave a mark that cannot be drawn. The board stays as it was.')
        private_class_method :unsound
      end
    end
  end
end
