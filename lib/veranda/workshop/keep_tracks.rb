# frozen_string_literal: true

require 'fileutils'
require 'que'
require 'tmpdir'

module Veranda
  module Workshop
    # Makes the sounds and pictures of a class that has ended playable. What was done is done; a run that was cut off is begun again.
    class KeepTracks < Que::Job
      self.maximum_retry_count = 3
      # s in which nothing was written to a file that was left open: its media server is gone.
      STILL = 5

      # @param sitting [String] id
      # @param folders [Array<String>, String] where media servers write
      def run(sitting, folders)
        @sitting = sitting
        @folders = Array(folders)
        return forget if Work.archive.recordings.deleted?(sitting)

        open, whole = files.partition { |path| path.end_with?('.tmp') && Time.now - File.mtime(path) < STILL }
        failed = whole.reject { |path| keep(path) }
        # One that is left open is taken once nobody writes to it any more.
        return self.class.enqueue(sitting, @folders, job_options: { run_at: Time.now + STILL, queue: Store::Tracks::QUEUE }) if open.any?

        tracks.report(sitting, failed.empty? ? 'ready' : 'partly')
        # Cut before it was ready.
        Work.archive.track_parts.want(sitting)
        tracks.measure(sitting)
      end

      private

      def tracks = Work.archive.tracks

      # The recording was let go of before it was ready.
      def forget = files.each { |path| FileUtils.rm_f(path) }

      def files
        @folders.flat_map do |folder|
          names = Dir.glob('*.mjr{,.tmp}', base: folder).sort.select { |file| Core::Recordings::Take.of(file)&.sitting == @sitting }
          names.map { |file| File.join(folder, file) }
        end
      end

      # @return [Boolean] whether it is seen to; one that cannot be read is left where it is
      def keep(path)
        Dir.mktmpdir('track', Work.archive.files.scratch) do |dir|
          made = TrackFile.new(path, dir).call
          tracks.add(Core::Recordings::Take.of(File.basename(path)), name: File.basename(path, '.tmp'), **made) if made
        end
        FileUtils.rm_f(path)
        true
      rescue Mjr::Damaged, Tool::Failed => e
        Console.warn(self, "A recorded track of #{@sitting} could not be made playable: #{e.message}")
        false
      end

      def handle_error(error)
        super
        tracks.report(@sitting, 'partly') if error_count >= self.class.maximum_retry_count
      end

      def log_level(_elapsed) = :debug
    end
  end
end
