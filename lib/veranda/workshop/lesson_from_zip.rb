# frozen_string_literal: true

require 'fileutils'

module Veranda
  module Workshop
    # Makes a lesson of a zip that {LessonZip} wrote, perhaps elsewhere. All of it or nothing: whatever is wrong is said,
    # and nothing is taken in.
    class LessonFromZip
      include FromZip

      # s to take it apart.
      PATIENCE = 120

      # @param archive [Store::Archive]
      # @param path [String] of the zip
      # @param course_id [String]
      # @param by [String] id of the person who brings it
      # @param starts_at [Time]
      def initialize(archive, path, course_id:, by:, starts_at: Time.now + 7 * 86_400)
        @archive = archive
        @path = path
        @course_id = course_id
        @by = by
        @starts_at = starts_at
      end

      # @return [String] id of the lesson
      # @raise [Core::Refusal] `zip_damaged`, `zip_too_large`, `zip_foreign`, `zip_newer`, `zip_incomplete`, `bad_input`, `not_a_board`
      def call
        all_or_nothing(:lesson, PATIENCE) do |parts|
          @parts = parts
          build(parts[:manifest])
        end
      end

      private

      def build(facts)
        materials = facts[:materials].to_h { |material| [material[:id], take(material)] }
        lesson = @archive.lessons.create(course_id: @course_id, title: facts[:title], starts_at: @starts_at,
                                         minutes: facts[:minutes])
        boards = facts[:boards].to_h { |board| [board[:id], board(board, lesson, materials)] }
        steps = facts[:steps].map { |step| step(step, boards, materials) }
        @archive.lessons.lay(lesson, steps: steps, record_from: facts[:record_from], **facts.slice(:welcome, :welcome_ink),
                                     welcome_picture: materials[facts[:welcome_picture]])
        lesson
      end

      def take(material)
        id = material_of(@parts[:files].fetch(material[:file].to_sym), material[:name], person_id: @by)
        @archive.materials.update(id, title: material[:title], labels: material[:labels])
        id
      end

      def board(board, lesson, materials)
        pages = board[:pages].map { |name| @parts[:pages].fetch(name.to_sym) }
        id = @archive.lessons.add_board(lesson, name: board[:name], audience: board[:audience], outside: board[:outside],
                                                first_page: board[:first_page])
        Deciding::Perform.call(@archive.log, 'board.take_in', input(pages, materials), stream: Core::Streams::StreamName.board(id))
        id
      end

      def input(pages, materials)
        marks = pages.flat_map { |page| page[:marks] }.map { |mark| at_home(mark, materials) }
        authors = pages.map { |page| page[:authors] }.reduce({}, :merge).map { |id, name| { id: home(id.to_s), name: name } }
        { pages: pages.map { |page| page_facts(page, materials) }, marks: marks, authors: authors }
      end

      def page_facts(page, materials)
        row = { page: page[:id], **(page[:facts] || {}).slice(:grows, :ground) }
        row[:ground].is_a?(Hash) ? row.merge(ground: at_home(row[:ground], materials)) : row
      end

      # Materials have new ids here, and people who are not of this course are nobody's namesakes.
      def at_home(facts, materials)
        facts = facts.merge(by: home(facts[:by])) if facts[:by]
        return facts unless facts[:material]

        id = materials[facts[:material]] or
          raise Core::Refusal.new(:zip_incomplete,
                                  'A board in this zip shows a material that is not in it. Nothing was taken in.')
        facts.merge(material: id, version: 1)
      end

      def step(step, boards, materials)
        kinds = Core::Lessons::Cues
        cues = (step[:cues] || []).map { |cue| kinds.on_materials(kinds.on_boards(cue, boards), materials) }
        step.merge(board: boards[step[:board]], material: materials[step[:material]], cues: cues)
      end
    end
  end
end
