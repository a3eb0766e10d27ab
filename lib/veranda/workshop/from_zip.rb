# frozen_string_literal: true

require 'tmpdir'

module Veranda
  module Workshop
    # What making something of a zip begins and ends with: it is taken apart in a limited program, and either all of it is taken in or
    # nothing.
    module FromZip
      # People of the server itself, and nobody.
      NO_PEOPLE = %w[house nobody].freeze

      private

      # @param what [Symbol] `:lesson` or `:recording`; a method of {LimitedProgram} for its parts
      # @param seconds [Integer] that taking it apart may take
      # @yieldparam parts [Hash] what it was taken apart into
      # @return [Object] what the block comes to; names that it notes in `@kept` are thrown away when it fails
      def all_or_nothing(what, seconds)
        @kept = []
        Dir.mktmpdir(what.to_s, @archive.files.scratch) do |dir|
          parts = taken_apart(what, dir, seconds)
          @archive.db.transaction { yield parts, dir }
        end
      rescue StandardError
        # No row names what was copied for something that was not made.
        @kept.each { |name| @archive.files.clear(name) }
        raise
      end

      def taken_apart(what, dir, seconds)
        to = File.join(dir, 'parts')
        Dir.mkdir(to)
        Limited.call(:"#{what}_parts", dir: dir, seconds: seconds, path: @path, to: to)
      rescue ZipGuard::TooMuch
        raise Core::Refusal.new(:zip_too_large, 'This zip unpacks to more than is taken. Nothing was taken in.')
      rescue ZipGuard::Damaged, Tool::Failed
        raise Core::Refusal.new(:zip_damaged, "This zip is damaged. Nothing was taken in. Save the #{what} again where it came from.")
      end

      # Takes a file as a material.
      # @param path [String] which is moved
      # @return [String] id of the material
      def material_of(path, name, **more)
        upload = @archive.uploads.begin(course_id: @course_id, name: name, size: [File.size(path), 1].max, **more)
        to = @archive.files.upload_path(upload[:id])
        FileUtils.mv(path, to)
        type = Sniff.type(to, upload[:name])
        id, = @archive.materials.take(upload, type: type, kind: Core::Materials::Kinds.of(type))
        @kept << "materials/#{id}"
        id
      end

      # People who are not of the course are nobody's namesakes.
      # @param person [String] id
      # @return [String]
      def home(person)
        return person if NO_PEOPLE.include?(person)

        @roster ||= @archive.people.roster(@course_id).map { |row| row[:id] }
        @roster.include?(person) ? person : "x-#{person}"[0, 40]
      end
    end
  end
end
