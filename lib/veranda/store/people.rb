# frozen_string_literal: true

module Veranda
  module Store
    # People, the courses they belong to and the part they play there.
    class People
      def initialize(db)
        @db = db
      end

      # @return [Hash, nil] `{ id:, name:, account_id: }`
      def find(id) = id && @db[:people].first(id: id)

      # @return [Hash, nil]
      def by_account(account_id) = account_id && @db[:people].first(account_id: account_id)

      # @return [String] id
      def add(name, account_id: nil, address: nil, id: Ids.call)
        @db[:people].insert(id: id, name: name, account_id: account_id, address: address)
        id
      end

      # @return [Hash{String => String}] role by course id
      def courses(person_id) = @db[:memberships].where(person_id: person_id).select_hash(:course_id, :role)

      # @return [Array<Hash>] `{ id:, name:, role: }`
      def roster(course_id)
        @db[:memberships].join(:people, id: :person_id).where(course_id: course_id)
                         .order(:role, :name).select(:id, Sequel[:people][:name], :role).all
      end

      # Everyone of a course with their address, if they have one.
      # @return [Array<Hash>] `{ name:, role:, address: }`
      def expected(course_id)
        address = Sequel.function(:coalesce, Sequel[:people][:address], Sequel[:accounts][:email])
        @db[:memberships].join(:people, id: :person_id).left_join(:accounts, id: :account_id).where(course_id: course_id)
                         .order(Sequel[:people][:name]).select(Sequel[:people][:name], :role, address.as(:address)).all
      end

      # @return [Array<Hash>, nil] a person's own sticks
      def sticks(person_id) = @db[:people].where(id: person_id).get(:sticks)&.map(&:to_h)

      def keep_sticks(person_id, sticks) = @db[:people].where(id: person_id).update(sticks: Sequel.pg_jsonb(sticks))

      def enrol(course_id, person_id, role)
        @db[:memberships].insert_conflict(target: %i[course_id person_id], update: { role: role })
                         .insert(course_id: course_id, person_id: person_id, role: role)
      end

      # Lets someone into the classes of one lesson.
      def admit(lesson_id, person_id)
        @db[:guests].insert_conflict.insert(lesson_id: lesson_id, person_id: person_id)
      end

      # The part someone plays in a lesson.
      # @param lesson [Hash]
      # @return [Core::Person, nil] nil for strangers
      def in_lesson(person_id, lesson)
        row = find(person_id) or return
        role = @db[:memberships].where(course_id: lesson[:course_id], person_id: person_id).get(:role)
        role ||= 'guest' unless @db[:guests].where(lesson_id: lesson[:id], person_id: person_id).empty?
        role && Core::Person.new(id: row[:id], name: row[:name], role: role)
      end
    end
  end
end
