# frozen_string_literal: true

require 'fileutils'

module Veranda
  module Store
    # Files on their way in, piece by piece. A broken upload goes on where it stopped.
    class Uploads
      # Bytes in one piece.
      PIECE = 4 * 1024 * 1024

      # @param db [Sequel::Database]
      # @param files [Files]
      def initialize(db, files)
        @db = db
        @files = files
      end

      # @param replaces [String, nil] id of the material of which this is a new version
      # @param label [String, nil] a label for the new material
      # @param purpose [String] `material`, or `lesson` or `recording` for a zip that one is made of
      # @param sitting_id [String, nil] the class in which it is to be posted
      # @return [Hash] the upload
      # @raise [Core::Refusal] `file_too_large`, `file_empty`
      def begin(course_id:, person_id:, name:, size:, replaces: nil, label: nil, purpose: 'material', sitting_id: nil)
        limits = Core::Materials::Limits
        limits.check_size!(name, size, most: purpose == 'recording' ? limits::MOST_RECORDED : limits::MOST_BYTES)
        id = Ids.call
        @db[:uploads].insert(id: id, course_id: course_id, person_id: person_id, name: Core::Materials::FileName.clean(name),
                             size: size, replaces: replaces, label: label, purpose: purpose, sitting_id: sitting_id)
        FileUtils.touch(@files.upload_path(id))
        fetch(id, person_id)
      end

      # @return [Hash] `{ id:, course_id:, person_id:, replaces:, name:, label:, size:, received: }`
      # @raise [Core::Refusal] `no_such_upload` also for other people's
      def fetch(id, person_id)
        @db[:uploads].first(id: id, person_id: person_id) ||
          raise(Core::Refusal.new(:no_such_upload, 'This upload is not known any more. Begin it again.'))
      end

      # @return [Integer] how many a person has under way
      def open_of(person_id) = @db[:uploads].where(person_id: person_id).count

      # Adds what came of a file. A piece that begins elsewhere than where the file ends is refused, so that
      # nothing can be doubled or left out.
      # @param offset [Integer] where the piece begins
      # @param bytes [String]
      # @return [Hash] the upload, with all `received` when it is whole
      # @raise [Core::Refusal] `wrong_offset`, `file_too_large`
      def add(upload, offset, bytes)
        @db.transaction do
          row = @db[:uploads].where(id: upload[:id]).for_update.first
          if offset != row[:received]
            raise Core::Refusal.new(:wrong_offset,
                                    'This piece does not follow the one before. It is sent again.')
          end

          received = offset + bytes.bytesize
          raise Core::Refusal.new(:file_too_large, 'More came than was announced. Upload the file again.') if received > row[:size]

          File.open(@files.upload_path(row[:id]), 'r+b') { |file| file.seek(offset) && file.write(bytes) }
          @db[:uploads].where(id: row[:id]).update(received: received)
          row.merge(received: received)
        end
      end

      # Forgets an upload and what came of it.
      def cancel(upload)
        @db[:uploads].where(id: upload[:id]).delete
        FileUtils.rm_f(@files.upload_path(upload[:id]))
      end

      # Lets go of what nobody went on with.
      # @param before [Time]
      def sweep(before:) = @db[:uploads].where { made_at < before }.all.each { |upload| cancel(upload) }
    end
  end
end
