# frozen_string_literal: true

module Veranda
  module Store
    # People, the courses they belong to and the part they play there.
    class People
      def initialize(db)
        @db = db
      end

      # @param ids [Array<String>]
      # @return [Hash{String => String}] by id
      def names(ids) = @db[:people].where(id: ids).select_hash(:id, :name)

      # @return [Hash, nil] `{ id:, name:, account_id: }`
      def find(id) = id && @db[:people].first(id: id)

      # Whoever a session is of, unless it was ended.
      # @param sid [String, nil] id of the session
      # @return [Hash, nil]
      def in_session(account_id: nil, person_id: nil, sid: nil)
        return unless sid && (account_id || person_id)

        ended = @db[:ended_sessions].where(id: sid).select(1)
        @db[:people].where(account_id ? { account_id: account_id } : { id: person_id }).exclude(ended.exists).first
      end

      # @param sid [String] id of a session
      # @param until_at [Time] when its cookie would run out
      def end_session(sid, until_at:)
        @db[:ended_sessions].where { self.until < Sequel::CURRENT_TIMESTAMP }.delete
        @db[:ended_sessions].insert_conflict.insert(id: sid, until: until_at)
      end

      # @return [Hash, nil]
      def by_account(account_id) = account_id && @db[:people].first(account_id: account_id)

      # @return [String] id
      # @param stand_in [Boolean] simulated, and let into rehearsals alone
      def add(name, account_id: nil, address: nil, stand_in: false, id: Ids.call)
        @db[:people].insert(id: id, name: name, account_id: account_id, address: address, stand_in: stand_in)
        id
      end

      # @return [Hash{String => String}] role by course id
      def courses(person_id) = @db[:memberships].where(person_id: person_id).select_hash(:course_id, :role)

      # @return [Array<Hash>] `{ id:, name:, role: }`
      def roster(course_id)
        @db[:memberships].join(:people, id: :person_id).where(course_id: course_id)
                         .order(:role, :name).select(:id, Sequel[:people][:name], :role).all
      end

      # @param course_ids [Array<String>]
      # @return [Hash{String => String}] by course the name of an instructor
      def hosts(course_ids)
        @db[:memberships].join(:people, id: :person_id).where(course_id: course_ids, role: 'instructor')
                         .reverse(Sequel[:people][:name]).select_hash(:course_id, Sequel[:people][:name])
      end

      # Everyone of a course with their address, if they have one.
      # @return [Array<Hash>] `{ id:, name:, role:, address: }`
      def expected(course_id)
        address = Sequel.function(:coalesce, Sequel[:people][:address], Sequel[:accounts][:email])
        @db[:memberships].join(:people, id: :person_id).left_join(:accounts, id: :account_id).where(course_id: course_id)
                         .order(Sequel[:people][:name]).select(Sequel[:people][:id], Sequel[:people][:name], :role, address.as(:address))
                         .all
      end

      # @return [Array<Hash>, nil] a person's own sticks
      def sticks(person_id) = @db[:people].where(id: person_id).get(:sticks)&.map(&:to_h)

      def keep_sticks(person_id, sticks) = @db[:people].where(id: person_id).update(sticks: Sequel.pg_jsonb(sticks))

      # Lets someone into the classes of one lesson.
      # @param link_id [String, nil] the link they came by; with it they can be sent off again
      def admit(lesson_id, person_id, link_id: nil)
        @db[:guests].insert_conflict(target: %i[lesson_id person_id], update: { link_id: link_id, revoked_at: nil })
                    .insert(lesson_id: lesson_id, person_id: person_id, link_id: link_id)
      end

      # Sends off a guest of one lesson, or all who came by one link.
      # @return [Array<String>] ids of those people
      def revoke(lesson_id, person_id: nil, link_id: nil)
        rows = @db[:guests].where({ lesson_id: lesson_id, person_id: person_id, link_id: link_id }.compact).where(revoked_at: nil)
        rows.returning(:person_id).update(revoked_at: Sequel::CURRENT_TIMESTAMP).map { |row| row[:person_id] }
      end

      # @return [Array<Hash>] `{ id:, name:, link_id: }` of the guests of a lesson
      def guests(lesson_id)
        @db[:guests].join(:people, id: :person_id).where(lesson_id: lesson_id, revoked_at: nil)
                    .order(:name).select(:id, :name, :link_id).all
      end

      # @return [Array<String>] ids of everyone who was ever let into a lesson's classes without being in its course
      def came_to(lesson_id) = @db[:guests].where(lesson_id: lesson_id).select_map(:person_id)

      # The part someone plays in a lesson.
      # @param lesson [Hash]
      # @return [Core::Person, nil] nil for strangers
      def in_lesson(person_id, lesson)
        row = person_id && parts([person_id], lesson).first
        Core::Person.new(**row) if row
      end

      # @param ids [Array<String>]
      # @return [Hash{String => String}] the part of each of them who plays any in a lesson
      def roles_in(ids, lesson) = parts(ids, lesson).to_h { |row| row.values_at(:id, :role) }

      # @return [Core::Person, nil] somebody as they belong to a course; nil for those who do not
      def in_course(person_id, course_id)
        row = @db[:memberships].join(:people, id: :person_id).where(course_id: course_id, person_id: person_id)
                               .select(Sequel[:people][:id], Sequel[:people][:name], :role).first
        Core::Person.new(**row) if row
      end

      # @return [Boolean] whether somebody was let into a lesson's classes by link, and still is
      def guest?(lesson_id, person_id)
        !@db[:guests].where(lesson_id: lesson_id, person_id: person_id, revoked_at: nil).empty?
      end

      ROLES = <<~SQL
        SELECT * FROM (
          SELECT people.id, people.name,
                 CASE WHEN stand_in THEN 'stand_in'
                      ELSE coalesce(role, CASE WHEN guests.person_id IS NOT NULL THEN 'guest' END) END AS role
          FROM people
          LEFT JOIN memberships ON memberships.person_id = people.id AND memberships.course_id = :course
          LEFT JOIN guests ON guests.person_id = people.id AND guests.lesson_id = :lesson AND guests.revoked_at IS NULL
          WHERE people.id IN :people
        ) AS parts WHERE role IS NOT NULL
      SQL
      private_constant :ROLES

      private

      def parts(ids, lesson) = @db[ROLES, people: ids, course: lesson[:course_id], lesson: lesson[:id]].all
    end
  end
end
