# frozen_string_literal: true

require 'digest'

module Veranda
  module Preparing
    # Gathers what readiness looks at: the boards of a lesson, the materials on them, and who is expected. What it found is kept
    # until any of that changes, since folding every board takes a while.
    class Preparation
      # @param archive [Store::Archive]
      def initialize(archive)
        @archive = archive
        @db = archive.db
        @tones = {}
      end

      # @param lesson [Hash]
      # @param now [Integer] ms since the epoch
      # @return [Array<Hash>] see {Core::Lessons::Readiness.of}
      def findings(lesson, now:)
        facts = gather(lesson, now)
        key = Digest::SHA256.hexdigest(JSON.generate(facts))
        kept = @db[:readiness].where(lesson_id: lesson[:id], key: key).get(Sequel.cast(:findings, String))
        return JSON.parse(kept, symbolize_names: true) if kept

        keep(lesson[:id], key, look(lesson, now))
      end

      private

      # Everything that the findings depend on.
      def gather(lesson, now)
        rows = @archive.lessons.boards(lesson[:id])
        streams = rows.map { |row| Core::Streams::StreamName.board(row[:id]) }
        heads = @db[:streams].where(name: streams).order(:name).select_map(%i[name head])
        [lesson[:version], rows.map { |row| row.slice(:id, :name, :audience) }, heads,
         materials(lesson, rows).map { |material| material.slice(:id, :version, :state, :newer) },
         @archive.people.expected(lesson[:course_id]), starts_at(lesson) + lesson[:minutes] * 60_000 < now]
      end

      def keep(lesson_id, key, findings)
        facts = { key: key, findings: Sequel.pg_jsonb(findings) }
        @db[:readiness].insert_conflict(target: :lesson_id, update: facts).insert(lesson_id: lesson_id, **facts)
        findings
      end

      def look(lesson, now)
        rows = @archive.lessons.boards(lesson[:id])
        boards = rows.to_h { |row| [row[:id], @archive.log.state(Core::Streams::StreamName.board(row[:id])).first] }
        names = rows.to_h { |row| row.values_at(:id, :name) }
        facts = lesson.merge(starts_at: starts_at(lesson))
        Core::Lessons::Readiness.of(facts, now: now, boards: boards, names: names, materials: materials(lesson, rows),
                                           tones: method(:tones), staff_only: staff_only(rows),
                                           people: @archive.people.expected(lesson[:course_id]))
      end

      def starts_at(lesson) = (lesson[:starts_at].to_f * 1000).round
      def staff_only(rows) = rows.reject { |row| Core::Lessons::Audience.everyone?(row) }.map { |row| row[:id] }

      def materials(lesson, rows)
        used = @db[:material_uses].where(board_id: rows.map { |row| row[:id] }).select_map(:material_id)
        played = lesson[:steps].flat_map { |step| [step[:material], *(step[:cues] || []).map { |cue| cue[:material] }] }
        @archive.materials.find_all(used | played.compact)
      end

      def tones(*slide)
        @tones.fetch(slide) do
          colours = @archive.materials.slide(*slide)[:tones].to_a
          @tones[slide] = { across: Core::Lessons::Legibility::TONES_ACROSS, colours: colours }
        end
      rescue Core::Refusal
        nil
      end
    end
  end
end
