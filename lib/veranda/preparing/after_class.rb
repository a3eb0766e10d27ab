# frozen_string_literal: true

module Veranda
  module Preparing
    # What is left of a class for whoever was in its course: the recording, its boards, polls, words and what was played and posted, as far
    # as they may watch it; without that the boards that are open to them.
    class AfterClass
      # Letters of a board's name that its copy is called by.
      NAME = 70

      # @param archive [Store::Archive]
      # @param sitting [Hash] row of the class
      # @param person [Core::Person] in their role there
      # @param replay [Store::Replay, nil] of what they may watch, with captions
      def initialize(archive, sitting, person, replay)
        @archive = archive
        @row = sitting
        @person = person
        @replay = replay
        @writing = replay && RecordedWriting.new(replay)
      end

      # @return [Hash] `{ opened:, ended:, taught:, recording:, boards:, polls:, files:, said:, posts: }`
      def facts
        sitting = @archive.sittings.state(@row[:id])
        taught = sitting.seats.each_value.select { |seat| seat.role == 'instructor' }
        { opened: sitting.opened_at, ended: sitting.ended_at, taught: taught.map(&:name), recording: recording, boards: boards,
          polls: polls, files: @replay ? played + posted : [],
          said: @writing ? @writing.said.length : 0, posts: @writing ? @writing.posts.length : 0 }
      end

      # Makes a board of the class one's own, as it was in the end of the recording.
      # @param board [String] id
      # @return [String] id of the copy
      # @raise [Core::Refusal] `no_such_board`, `too_many_boards`
      def copy(board)
        _, name, state = @writing&.drawn&.find { |id,| id == board }
        raise Core::Refusal.new(:no_such_board, 'This board is not part of what you may watch.') unless state

        # All of it or nothing.
        @archive.lessons.add_own(@row[:lesson_id], @person.id, name: "#{name[0, NAME]}, my copy") do |id|
          Deciding::Perform.call(@archive.log, 'board.take_in', state.as_taken_in, stream: Core::Streams::StreamName.board(id))
        end
      end

      private

      def recording
        return unless @replay

        found = @replay.recording
        { length: found.clock.length, chapters: @replay.shown.clean(found.chapters), sound: @archive.tracks.state(@row[:id]) }
      end

      def boards
        return @writing.drawn.map { |id, name, board| { id: id, name: name, pages: board.pages.length } } if @replay

        reader = Reader.new(@archive, @person.to_h.slice(:id, :name))
        lesson = @archive.lessons.fetch(@row[:lesson_id])
        rows = @archive.lessons.boards(lesson[:id]).select { |row| reader.board?(row, lesson) }
        rows.map { |row| { id: row[:id], name: row[:name], pages: nil } }
      end

      def polls
        return [] unless @replay

        @writing.polls.map { |question, shown| { text: question[:text], round: shown[:round], rows: Core::Polls::ShownResults.rows(question, shown) } }
      end

      # Of what was played in the main room, what is kept here.
      def played
        Shows.played(@replay.all).filter_map do |material, version, title|
          row = @archive.materials.version(material, version)
          { title: title, kind: row[:kind], address: "/api/recordings/#{@row[:id]}/clips/#{material}/#{version}" } if row[:original]
        rescue Core::Refusal
          nil
        end
      end

      def posted
        ids = @writing.files
        @archive.materials.find_all(ids).map do |row|
          { title: row[:name], kind: row[:kind], address: "/api/materials/#{row[:id]}/1/original" }
        end
      end
    end
  end
end
