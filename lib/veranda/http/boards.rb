# frozen_string_literal: true

module Veranda
  module Http
    # Boards: finding them, their settings, their pages as files, and how they came to be.
    class Boards < Resource
      CHANGES = Core::Contract.define do
        optional(:name).filled(:string, max_size?: 80)
        optional(:audience).value(:string, included_in?: %w[everyone staff])
        optional(:outside).value(:string, included_in?: %w[closed read work])
        optional(:template).value(:bool)
        optional(:first_page).value(Core::Types::ID)
      end

      get '/api/boards' do
        taught = archive.people.courses(someone![:id]).select { |_, role| Core::Person::STAFF.include?(role) }.keys
        found = archive.boards.search(taught, search: params[:search].to_s[0, 200], lesson: params[:lesson],
                                              kind: params[:kind].to_s)
        json(found.map { |row| row.merge(starts_at: ms(row[:starts_at]), words: row[:words].to_s[0, 160]) })
      end

      patch '/api/boards/:id' do |id|
        staff_of!(id)
        facts = Core::Contract.check(CHANGES, input)
        facts[:name] = Core::Name.clean(facts[:name]) if facts[:name]
        board = archive.lessons.update_board(id, **facts)
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
        json(archive.boards.changes(id, params[:page].to_s))
      end

      # The board as it was after one of its entries.
      get '/api/boards/:id/at/:seq' do |id, seq|
        staff_of!(id)
        json(archive.log.state_after(Core::Streams::StreamName.board(id), seq.to_i).view)
      end

      get '/api/boards/:id.pdf' do |id|
        board, state = read!(id)
        download("#{Core::Materials::FileName.plain(board[:name])}.pdf", 'application/pdf')
        Workshop::BoardFiles.new(archive).pdf([[board[:name], state]])
      end

      # What the board looks like where it begins, in small.
      get '/api/boards/:id/small.svg' do |id|
        board, state = read!(id)
        page = state.pages.include?(board[:first_page]) ? board[:first_page] : state.pages.first
        download('small.svg', 'image/svg+xml')
        Workshop::BoardFiles.new(archive).small(state, page)
      end

      get '/api/boards/:id/:page.svg' do |id, page|
        board, state = read!(id, page)
        download("#{Core::Materials::FileName.plain(board[:name])}.svg", 'image/svg+xml')
        Workshop::BoardFiles.new(archive).svg(state, page, title: board[:name])
      end

      get '/api/boards/:id/:page.png' do |id, page|
        board, state = read!(id, page)
        download("#{Core::Materials::FileName.plain(board[:name])}.png", 'image/png')
        Workshop::BoardFiles.new(archive).png(state, page)
      end

      private

      def staff_of!(id) = staff!(archive.lessons.fetch(archive.lessons.board(id)[:lesson_id]))

      # @return [Array(Hash, Core::Boards::Board)]
      def read!(id, page = nil)
        board = archive.lessons.board(id)
        person = in_lesson!(archive.lessons.fetch(board[:lesson_id]))
        unless person.staff? || board[:audience] == 'everyone'
          raise Core::Refusal.new(:no_access,
                                  'That board is not open to you.')
        end

        state, = archive.log.state(Core::Streams::StreamName.board(id))
        raise Core::Refusal.new(:no_such_board, 'That page is not on this board.') unless page.nil? || state.pages.include?(page)

        [board, state]
      end

      def download(name, type)
        content_type type
        headers 'Content-Disposition' => %(attachment; filename="#{name}"),
                'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; img-src data:"
      end
    end
  end
end
