# frozen_string_literal: true

require 'fileutils'
require 'shrine'
require 'shrine/storage/file_system'

module Veranda
  module Store
    # Where materials, their slides and uploads lie. Names are paths below one folder, and they are
    # made here and in the workshop, never from what somebody typed.
    #
    #   files.put(io, 'materials/7/1/original') #=> 'materials/7/1/original'
    #   files.path('materials/7/1/original')    #=> "/…/store/materials/7/1/original"
    class Files
      # @param root [String] folder; made when needed
      def initialize(root)
        @root = root
        @store = Shrine::Storage::FileSystem.new(root, prefix: 'store')
        FileUtils.mkdir_p(uploads)
      end

      # @param io [#read] a file or the like
      # @param name [String]
      # @return [String] the name
      def put(io, name)
        @store.upload(io, name)
        name
      end

      # @return [String] of the file on this machine
      def path(name) = @store.path(name).to_s

      def exist?(name) = @store.exists?(name)

      # @return [String] all of a file
      def read(name) = @store.open(name, &:read)

      # Takes a file from elsewhere on this machine over as it is.
      # @return [String] the name
      def move(path, name)
        @store.upload(File.open(path, 'rb'), name, move: true)
        name
      end

      # @return [Array<String>] names of what lies right below a folder
      def children(name) = Dir.exist?(path(name)) ? Dir.children(path(name)) : []

      # @return [Array<String>] names of all files below a folder
      def below(name)
        files = Dir[File.join(path(name), '**/*')].select { |file| File.file?(file) }
        files.map { |file| "#{name}#{file.delete_prefix(path(name))}" }
      end

      # @return [Time]
      def changed_at(name) = File.mtime(path(name))

      # Throws away all below a name.
      def clear(name) = FileUtils.rm_rf(path(name))

      # Where the upload with this id grows, until it is whole.
      # @return [String]
      def upload_path(id) = File.join(uploads, id)

      # @return [String] a folder for work that may be thrown away
      def scratch = File.join(@root, 'scratch').tap { |path| FileUtils.mkdir_p(path) }

      # @param bytes [String]
      # @return [String] path of a file in that folder, for whoever asked to throw away
      def scratch_file(ending, bytes)
        path = File.join(scratch, "#{Ids.call}.#{ending}")
        File.binwrite(path, bytes)
        path
      rescue SystemCallError
        # Half of it is of use to nobody.
        FileUtils.rm_f(path)
        raise
      end

      private

      def uploads = File.join(@root, 'uploads')
    end
  end
end
