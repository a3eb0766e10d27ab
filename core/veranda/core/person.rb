# frozen_string_literal: true

module Veranda
  module Core
    # Someone acting in a lesson or class, with the role they have *there*:
    # the same human may teach one course and attend another.
    Person = Struct.new(:id, :name, :role, keyword_init: true) do
      # @return [Boolean] instructors and assistants run the class
      def staff?
        Person::STAFF.include?(role)
      end

      # @return [Boolean] simulated, and in rehearsals alone
      def stand_in? = role == 'stand_in'
    end

    Person::ROLES = %w[instructor assistant student guest stand_in].freeze
    Person::STAFF = %w[instructor assistant].freeze
  end
end
