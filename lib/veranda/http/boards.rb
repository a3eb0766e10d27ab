# frozen_string_literal: true

module Veranda
  module Http
    # Board pages as SVG.
    class Boards < Resource
      # A person's notes of the steps, which the class's own stream does not carry.
      get '/api/classes/:id' do |id|
        row = archive.sittings.fetch(id)
        lesson = archive.lessons.fetch(row[:lesson_id])
        person = in_lesson!(lesson)
        notes = person.staff? ? lesson[:steps].to_h { |step| [step[:id], step[:notes]] } : {}
        json(id: id, lesson: lesson[:id], title: lesson[:title], rehearsal: row[:rehearsal], notes: notes)
      end

      get '/api/boards/:id/:page.svg' do |id, page|
        board = archive.lessons.board(id)
        person = in_lesson!(archive.lessons.fetch(board[:lesson_id]))
        unless person.staff? || board[:audience] == 'everyone'
          raise Core::Refusal.new(:no_access,
                                  'That board is not open to you.')
        end

        state, = archive.log.state(Core::Streams::StreamName.board(id))
        raise Core::Refusal.new(:no_such_board, 'That page is not on this board.') unless state.pages.include?(page)

        content_type 'image/svg+xml'
        headers 'Content-Disposition' => 'attachment; filename="board.svg"',
                'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'"
        Core::Boards::SvgWriter.new(state, page, title: board[:name]).call
      end
    end
  end
end
