# frozen_string_literal: true

require 'que'
require 'tmpdir'

module Veranda
  module Workshop
    # Makes the parts of sounds and pictures that are left after a recording was cut, and throws away those that an earlier edit left. Run
    # again it does only what is missing. Several edits that come close together are seen to one after the other: what one makes another
    # would throw away.
    class CutTracks < Que::Job
      self.maximum_retry_count = 3

      # s until it looks again whether another is through with the same recording.
      LATER = 2

      # @param sitting [String] id
      def run(sitting)
        return if Store::Turn.alone(Work.archive.db, 'cut tracks', sitting) { cut(sitting) }

        self.class.enqueue(sitting, job_options: { run_at: Time.now + LATER, queue: Store::Tracks::QUEUE })
      end

      private

      def cut(sitting)
        archive = Work.archive
        row = archive.recordings.fetch(sitting)
        recording = archive.recordings.recording(row) or return
        # What somebody may watch by link may be less.
        links = archive.links.of_recording(sitting).map { |link| link.values_at(:only_from, :only_to) }.select(&:any?).uniq
        watched = [recording, *links.map { |from, to| recording.only(from, to) }].map { |one| Preparing::TracksLeft.new(archive, one) }
        watched.flat_map(&:missing).uniq.each { |track, from, to| make(archive, track, from, to) }
        archive.track_parts.drop(watched.map(&:needless).reduce(:&))
      rescue Core::Refusal
        # The class was let go of.
        nil
      end

      def make(archive, track, from, to)
        Dir.mktmpdir('part', archive.files.scratch) do |dir|
          made = CutTrack.new(archive.files.path(track[:file]), dir).call(from - track[:began_at], to - track[:began_at])
          archive.track_parts.add(track, from, to, made)
        end
      rescue Tool::Failed => e
        Console.warn(self, "A part of a track of #{track[:sitting_id]} could not be made: #{e.message}")
        archive.track_parts.add(track, from, to, nil)
        archive.tracks.report(track[:sitting_id], 'partly')
      end

      def log_level(_elapsed) = :debug
    end
  end
end
