# frozen_string_literal: true

module Veranda
  module Store
    # Tables that follow the streams. What an entry says is noted in them in its own commit; here all of it is said once more, from the
    # streams as they are. Classes may go on meanwhile: each is made anew under the lock of what it follows.
    class Projections
      KINDS = %i[course plan sitting board].freeze
      private_constant :KINDS

      # @param archive [Archive]
      def initialize(archive)
        @log = archive.log
        @db = archive.db
      end

      # @return [Hash{Symbol => Integer}] how many wholes of each kind there are
      def rebuild
        KINDS.to_h { |kind| [kind, each_of(kind) { |id| send(kind, id) }] }
      end

      private

      # What is written to a stream meanwhile waits, and is noted after this.
      def each_of(kind)
        names = @log.names(kind)
        names.each do |name|
          @db.transaction do
            @db[:streams].where(name: name).for_update.get(:head)
            yield Core::Streams::StreamName.id(name)
          end
        end
        names.length
      end

      def course(id)
        names = Core::Streams::StreamName
        @db[:streams].where(name: names.people(id)).for_update.get(:head)
        CourseTables.rebuild(@db, id, *[names.course(id), names.people(id)].map { |name| state(name) })
      end

      def plan(id)
        plan, seq = @log.state(Core::Streams::StreamName.plan(id))
        PlanTables.rebuild(@db, id, plan, seq)
      end

      def sitting(id)
        names = Core::Streams::StreamName
        @db[:streams].where(name: names.staff(id)).for_update.get(:head)
        sitting, staff = [names.sitting(id), names.staff(id)].map { |name| state(name) }
        @db[:sittings].where(id: id).update(status: sitting.status)
        TurnedOut.rebuild(@db, id, sitting, staff)
      end

      def board(id) = MaterialUses.note(@db, @log.entries(Core::Streams::StreamName.board(id)))

      def state(name) = @log.state(name).first
    end
  end
end
