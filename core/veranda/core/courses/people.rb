# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # Who belongs to a course, and the part that each plays there.
      class People
        # Parts that one may be given. Guests come by a link, to a lesson.
        ROLES = %w[instructor assistant student].freeze
        # People of one course, at most.
        MOST = 2_000

        def initialize
          @by_id = {}
        end

        def initialize_copy(_other)
          super
          @by_id = @by_id.dup
        end

        # @param id [String]
        # @return [Hash, nil] `{ id:, name:, role: }`
        def [](id) = @by_id[id]

        # @return [String, nil] nil for those who do not belong to the course
        def role(id) = @by_id.dig(id, :role)

        # @return [Boolean] whether somebody teaches the course
        def staff?(id) = Person::STAFF.include?(role(id))

        # @param role [String]
        # @return [Array<Hash>]
        def of_role(role) = @by_id.each_value.select { |person| person[:role] == role }

        # @return [Array<Hash>] everyone
        def to_a = @by_id.values

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'enrolled' then body[:people].each { |person| @by_id[person[:id]] = person }
          when 'role_given' then @by_id[body[:id]] = @by_id[body[:id]].merge(role: body[:role])
          when 'taken_out' then @by_id.delete(body[:id])
          end
          self
        end

        # @return [Integer]
        def size = 1 + @by_id.length

        def to_h = { people: to_a }
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new.tap { |people| people.send(:restore, facts) }

        private

        def restore(facts)
          @by_id = facts[:people].to_h { |person| [person[:id], person] }
        end
      end
    end
  end
end
