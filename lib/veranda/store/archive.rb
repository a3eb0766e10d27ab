# frozen_string_literal: true

module Veranda
  module Store
    # All stores over one database, made once per process and passed to whoever needs them.
    class Archive
      include Terse

      attr_reader :db, :log, :files, :people, :lessons, :boards, :sittings, :recordings, :links, :materials, :uploads, :small_pictures,
                  :own_copies, :pairings, :room_work, :polls, :questions, :tracks, :track_parts, :recorded_words, :watching,
                  :exports, :notes, :errands

      # @param db [Sequel::Database]
      # @param files [String] folder for materials
      def initialize(db, files:)
        @db = db
        @log = Log.new(db)
        @files, @errands = Files.new(files), Errands.new(db)
        @materials = Materials.new(db, @files)
        @uploads = Uploads.new(db, @files)
        @people = People.new(db)
        @lessons = Lessons.new(db, @log, @errands)
        @sittings = Sittings.new(db, @log, @lessons)
        @recordings = Recordings.new(db, @log, @sittings, @files)
        @links = Links.new(db)
        @boards = BoardList.new(db, @log)
        @pairings = Pairings.new(db)
        @own_copies = OwnCopies.new(db, @log, @lessons)
        @room_work = RoomWork.new(db, @log, @lessons)
        @polls = PollBank.new(db)
        @questions = QuestionList.new(db)
        @tracks = Tracks.new(db, @files)
        @track_parts = TrackParts.new(db, @files)
        @recorded_words = RecordedWords.new(db)
        @watching, @notes = Watching.new(db), Notes.new(db)
        @exports = Exports.new(db, @files)
        @small_pictures = SmallPictures.new(db, @files)
      end

      # @return [LessonCopies]
      def copies = LessonCopies.new(self)

      # @return [Hash{String => String}] names of courses by id
      def courses(ids) = @db[:courses].where(id: ids).select_hash(:id, :name)

      # @return [Hash{String => Hash}] as {#course} has them
      def courses_by_id(ids) = @db[:courses].where(id: ids).as_hash(:id)

      # @return [Hash] `{ id:, name:, private_in_transcripts:, keep_recordings:, add_missed:, language:, zone: }`
      def course(id) = @db[:courses].first(id: id)
    end
  end
end
