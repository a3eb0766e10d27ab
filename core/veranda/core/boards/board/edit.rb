# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # The three things that can happen to marks, as operations on a Hash of marks by id:
      #
      #   { op: 'put',    mark: {…} }          a mark appears
      #   { op: 'change', id:, set: {…} }      some of its fields change; nil takes a field away
      #   { op: 'remove', id: }                it goes
      #
      # Every board entry is a list of these, whether somebody drew, cleared a page or undid
      # something, so whoever can apply them can follow a board.
      module Edit
        module_function

        # @param marks [Hash{String => Hash}] changed in place
        # @param ops [Array<Hash>]
        # @return [Array<Hash>] the inverse, to be applied in the order given; a `change` in it
        #   also says in `if` what it expects to find (see {resolve})
        def apply(marks, ops)
          ops.filter_map { |op| apply_one(marks, op) }.reverse
        end

        # Turns an inverse into operations that still make sense: others may have changed or
        # removed the same marks since. A field somebody else has set stays as they set it.
        #
        # @param marks [Hash{String => Hash}]
        # @param inverse [Array<Hash>]
        # @return [Array<Hash>]
        def resolve(marks, inverse)
          inverse.filter_map do |op|
            case op[:op]
            when 'put' then op unless marks.key?(op[:mark][:id])
            when 'remove' then op if marks.key?(op[:id])
            when 'change' then resolve_change(marks[op[:id]], op)
            end
          end
        end

        def apply_one(marks, op)
          case op[:op]
          when 'put'
            marks[op[:mark][:id]] = op[:mark].freeze
            { op: 'remove', id: op[:mark][:id] }
          when 'remove'
            mark = marks.delete(op[:id])
            mark && { op: 'put', mark: mark }
          when 'change' then change(marks, op)
          end
        end
        private_class_method :apply_one

        def change(marks, op)
          mark = marks[op[:id]] or return
          marks[op[:id]] = Mark.whole(mark.merge(op[:set]).compact, mark).freeze
          { op: 'change', id: op[:id], set: op[:set].to_h { |field, _| [field, mark[field]] }, if: op[:set] }
        end
        private_class_method :change

        def resolve_change(mark, op)
          return unless mark

          set = op[:set].select { |field, _| mark[field] == op[:if][field] }
          { op: 'change', id: op[:id], set: set } unless set.empty?
        end
        private_class_method :resolve_change
      end
    end
  end
end
