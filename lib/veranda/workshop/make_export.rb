# frozen_string_literal: true

require 'que'
require 'tmpdir'

module Veranda
  module Workshop
    # Makes what somebody takes away of a recording. Cut off and begun again it goes on where it was; thrown away meanwhile it stops; and
    # when the recording was edited meanwhile it is made as it is now.
    class MakeExport < Que::Job
      self.maximum_retry_count = 3
      # s after which it is asked again whether sounds and pictures are ready, and whether a class goes on.
      SOON = 5
      # s between telling how far it is.
      TELL = 1

      # @param id [String] of the export
      def run(id)
        @row = exports.row(id) or return
        return unless Store::Exports::UNDER_WAY.include?(@row[:state])
        return later(id) if waiting?

        alone { finish(id) } || later(id)
      rescue Film::Work::Stopped
        exports.row(id) ? later(id) : FileUtils.rm_rf(folder)
      rescue Core::Refusal => e
        failed(id, e.says)
      rescue StandardError => e
        raise unless NoRoom.why?(e)

        failed(id, NoRoom::SAYS)
      end

      private

      # Whoever lost the database while they worked may still be at it.
      # @return [Boolean] whether it was done
      def alone
        FileUtils.mkdir_p(File.dirname(folder))
        File.open("#{folder}.lock", File::RDWR | File::CREAT) do |lock|
          return false unless lock.flock(File::LOCK_EX | File::LOCK_NB)

          begin
            yield
          ensure
            FileUtils.rm_f(lock.path)
          end
        end
        true
      end

      def finish(id)
        loop do
          exports.note(id, state: 'making', edits: head = exports.edits(@row[:sitting_id]))
          made = make
          # It was edited meanwhile.
          next if exports.edits(@row[:sitting_id]) != head

          exports.finish(id, made)
          return FileUtils.rm_rf(folder)
        end
      end

      def archive = Work.archive
      def exports = archive.exports
      def folder = File.join(archive.files.scratch, 'exports', @row[:id])

      # Sound or picture is still being made, or cut.
      def waiting? = archive.tracks.state(@row[:sitting_id]) == 'waiting' || Preparing::TracksLeft.new(archive, recording).missing.any?

      def later(id) = self.class.enqueue(id, job_options: { run_at: Time.now + SOON, queue: Store::Exports::QUEUE })

      def failed(id, says)
        exports.note(id, state: 'failed', says: says)
        FileUtils.rm_rf(folder)
      end

      def recording
        row = archive.recordings.fetch(@row[:sitting_id])
        archive.recordings.recording(row, captions: true) || raise(archive.recordings.no_such_recording)
      end

      def replay
        found = recording
        course = archive.lessons.fetch(archive.sittings.fetch(@row[:sitting_id])[:lesson_id])[:course_id]
        Store::Replay.new(archive.log, @row[:sitting_id], found, cast: -> { Store::Casting.new(archive).call(found, course) })
      end

      # @return [Hash{String => String}] paths by name
      def make = @row[:kind] == 'film' ? films : zip

      def films
        plan = Dir.mktmpdir('plan', archive.files.scratch) { |dir| Film::Plan.new(archive, replay, @row[:wishes], dir: dir).call }
        work = Film::Work.new(folder, fonts: Fonts.environment(archive.files.scratch), lanes: -> { lanes }, told: method(:told))
        work.call(plan).transform_keys { |format| "film.#{format}" }
      end

      def zip
        FileUtils.mkdir_p(folder)
        path = File.join(folder, 'recording.zip')
        RecordingZip.new(archive, replay, told: method(:told)).write(path)
        { 'recording.zip' => path }
      end

      # One at a time beside a class that goes on. Who works asks several times a second.
      def lanes
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        return @lanes if @looked && now - @looked <= SOON

        @looked = now
        @lanes = archive.sittings.any_going_on? ? 1 : 2
      end

      # @return [Boolean] whether to go on
      def told(share)
        return false if $stop_que_executable # rubocop:disable Style/GlobalVars -- how the worker says that it is to end

        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        return true if @told && now - @told < TELL

        @told = now
        exports.note(@row[:id], done: share)
      end

      def handle_error(error)
        super
        return unless @row && error_count >= self.class.maximum_retry_count

        failed(@row[:id],
               'This could not be made. The recording is as it was; try again, or take a shorter part.')
      end

      def log_level(_elapsed) = :debug
    end
  end
end
