# frozen_string_literal: true

module Veranda
  module Store
    # All stores over one database, made once per process and passed to whoever needs them.
    class Archive
      attr_reader :db, :log, :people, :lessons, :sittings, :recordings, :links

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
        @log = Log.new(db)
        @people = People.new(db)
        @lessons = Lessons.new(db, @log)
        @sittings = Sittings.new(db, @log, @lessons)
        @recordings = Recordings.new(db, @log, @sittings)
        @links = Links.new(db)
      end

      # @return [Hash] `{ id:, name: }`
      def course(id) = @db[:courses].first(id: id)
    end
  end
end
