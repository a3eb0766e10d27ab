# frozen_string_literal: true

module Veranda
  module Http
    # Boards: finding them, their settings, their pages as files, and how they came to be.
    class Boards < Resource
      CHANGES = Core::Contract.define do
        optional(:name).filled(:string, max_size?: 80)
        optional(:audience).value(:string, included_in?: Core::Lessons::Audience::KINDS)
        optional(:people).value(:array, max_size?: Core::Lessons::Audience::MOST).each(Core::Types::ID)
        optional(:outside).value(:string, included_in?: %w[closed read work])
        optional(:template).value(:bool)
        optional(:first_page).value(Core::Types::ID)
      end

      get '/api/boards' do
        taught = archive.people.courses(someone![:id]).select { |_, role| Core::Person::STAFF.include?(role) }.keys
        aside(:refresh_boards, courses: taught) if archive.boards.stale?(taught)
        found = archive.boards.search(taught, search: params[:search].to_s[0, 200], lesson: params[:lesson],
                                              kind: params[:kind].to_s)
        json(found.map { |row| row.merge(starts_at: ms(row[:starts_at]), words: row[:words].to_s[0, 160]) })
      end

      patch '/api/boards/:id' do |id|
        staff_of!(id)
        facts = Core::Contract.check(CHANGES, input)
        facts[:name] = Core::Name.clean(facts[:name]) if facts[:name]
        named!(id, facts[:people]) if facts[:people]
        not_a_copy!(id) if facts.key?(:audience) || facts.key?(:people)
        board = archive.lessons.update_board(id, **facts)
        Preparing::Classes.new(archive).boards_changed(board[:lesson_id], rehearsal: board[:rehearsal_id])
        hub.review(board[:lesson_id])
        json(board.slice(*Store::Lessons::BOARD_COLUMNS))
      end

      post '/api/boards/:id/visits' do |id|
        staff_of!(id)
        archive.boards.visit(id, someone![:id])
        json({})
      end

      get '/api/boards/:id/changes' do |id|
        staff_of!(id)
        aside(:board_changes, board: id, page: params[:page].to_s)
      end

      # The board as it was after one of its entries.
      get '/api/boards/:id/at/:seq' do |id, seq|
        staff_of!(id)
        aside(:board_at, board: id, seq: number(seq))
      end

      get '/api/boards/:id.pdf' do |id|
        board = read!(id)
        give_away(aside(:board_pdf, board: id), named(board, 'pdf'), 'application/pdf')
      end

      # What the board looks like where it begins, in small.
      get '/api/boards/:id/small.svg' do |id|
        read!(id)
        name = archive.small_pictures.find(id).first || aside(:board_small, board: id)
        headers 'Content-Security-Policy' => NOTHING_RUNS
        send_file archive.files.path(name), type: 'image/svg+xml', disposition: 'attachment', filename: 'small.svg'
      end

      get '/api/boards/:id/:page.svg' do |id, page|
        board = read!(id)
        give_away(aside(:board_svg, board: id, page: page), named(board, 'svg'), 'image/svg+xml')
      end

      get '/api/boards/:id/:page.png' do |id, page|
        board = read!(id)
        give_away(aside(:board_png, board: id, page: page), named(board, 'png'), 'image/png')
      end

      private

      # Whose a copy or a room's board is, does not change; what others are to see of it is put in front of them as a board of its own.
      def not_a_copy!(id)
        return unless archive.lessons.board(id).values_at(:copy_of, :room_id).any?

        raise Core::Refusal.new(:is_a_copy,
                                'That is somebody’s own copy, or a room’s. Show it to all in class, and it becomes a board for everyone.')
      end

      # Only those who have a part in the lesson.
      def named!(id, people)
        lesson = archive.lessons.fetch(archive.lessons.board(id)[:lesson_id])
        return if (people - archive.people.roles_in(people, lesson).keys).empty?

        raise Core::Refusal.new(:not_invited, 'Somebody this board is to be for has no part in this lesson.')
      end

      def staff_of!(id) = staff!(archive.lessons.fetch(archive.lessons.board(id)[:lesson_id]))

      # @return [Hash] the board
      def read!(id)
        board = archive.lessons.board(id)
        lesson = archive.lessons.fetch(board[:lesson_id])
        in_lesson!(lesson)
        reader.board?(board, lesson) ? board : raise(Core::Refusal.new(:no_access, 'That board is not open to you.'))
      end

      def named(board, ending) = "#{Core::Materials::FileName.plain(board[:name])}.#{ending}"
    end
  end
end
