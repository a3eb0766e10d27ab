# frozen_string_literal: true

require 'json'
require 'zip'

module Veranda
  module Workshop
    # A lesson as one zip of open formats: `manifest.json`, its boards as SVG pages, and the originals of the
    # materials they show. {LessonFromZip} reads it.
    class LessonZip
      # @param archive [Store::Archive]
      # @param lesson [Hash]
      def initialize(archive, lesson)
        @archive = archive
        @lesson = lesson
      end

      # @return [String] the zip
      def call
        @files = {}
        facts = manifest
        Zip::OutputStream.write_buffer do |zip|
          write(zip, 'manifest.json', JSON.pretty_generate(facts))
          @files.each { |name, text| write(zip, name, text.call) }
        end.string
      end

      private

      def write(zip, name, text)
        zip.put_next_entry(name)
        zip.write(text)
      end

      def manifest
        boards = @archive.lessons.boards(@lesson[:id]).each_with_index.map { |row, i| board(row, i + 1) }
        { format: Core::Lessons::Manifest::FORMAT, version: Core::Lessons::Manifest::VERSION, title: @lesson[:title],
          minutes: @lesson[:minutes], record_from: @lesson[:record_from], steps: @lesson[:steps], boards: boards, materials: materials,
          **@lesson.slice(:welcome, :welcome_ink, :welcome_picture) }
      end

      def board(row, number)
        state, = @archive.log.state(Core::Streams::StreamName.board(row[:id]))
        folder = "boards/#{number}-#{Core::Materials::FileName.plain(row[:name])}"
        pages = state.pages.each_with_index.map do |page, i|
          "#{folder}/#{i + 1}.svg".tap do |name|
            @files[name] = lambda {
              BoardFiles.new(@archive).svg(state, page, title: row[:name])
            }
          end
        end
        # Whoever a board names is nobody elsewhere.
        audience = row[:audience] == 'everyone' ? 'everyone' : 'staff'
        row.slice(:id, :name, :outside, :first_page).merge(audience: audience, pages: pages)
      end

      def materials
        @archive.materials.find_all(used).filter_map do |material|
          id = material[:id]
          next unless material[:original] && @archive.files.exist?(material[:original])

          file = "materials/#{id}/#{Core::Materials::FileName.plain(File.basename(material[:name],
                                                                                  '.*'))}#{File.extname(material[:name])[/\A\.\w{1,5}\z/]}"
          @files[file] = -> { File.binread(@archive.files.path(material[:original])) }
          material.slice(:id, :title, :labels, :name, :version).merge(file: file)
        end
      end

      def used
        boards = @archive.lessons.boards(@lesson[:id]).map { |row| row[:id] }
        shown = @archive.db[:material_uses].where(board_id: boards).select_map(:material_id)
        asked = @lesson[:steps].flat_map { |step| (step[:cues] || []).flat_map { |cue| Core::Lessons::Cues.materials(cue) } }
        shown | asked | [*@lesson[:steps].map { |step| step[:material] }, @lesson[:welcome_picture]].compact
      end
    end
  end
end
