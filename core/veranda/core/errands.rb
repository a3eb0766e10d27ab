# frozen_string_literal: true

module Veranda
  module Core
    # What must follow an entry, whatever becomes of the process that stored it: written in the entry's commit, carried out after it by
    # whoever has a hand free, and tried again until it is done. It may be carried out later and more than once: what it says holds then
    # too, and all else is looked up.
    #
    #   Errands.of(entry, state) #=> [Errand(key: "hand_copies 7", task: "hand_copies", facts: { sitting: "7" })]
    #
    # Of two with the same key that wait at the same time one is carried out.
    module Errands
      # @!attribute key [String] what tells it from all others
      # @!attribute task [String] what is to be done
      # @!attribute facts [Hash] what it is to be done with
      Errand = Struct.new(:key, :task, :facts)

      # Kind of stream and of entry, and what follows it.
      TABLE = {
        'sitting.joined' => %i[hand_copies], 'sitting.handed_out' => %i[hand_copies],
        'sitting.opened' => %i[note_held], 'sitting.ended' => %i[finish_polls keep_tracks keep_snapshots],
        'staff.cued' => %i[do_cue], 'staff.paired' => %i[copy_for_pairs],
        'poll.round_closed' => %i[count_round], 'staff.poll_put_away' => %i[put_away_poll],
        'course.series_set' => %i[lay_series],
        **%w[plan_set step_added step_set step_moved step_taken].to_h { |kind| ["plan.#{kind}", %i[tell_plan]] }
      }.freeze

      # Cues of which more is done than one commit, or something that takes a while.
      LONG_CUES = %w[pairs rooms clip].freeze
      NONE = [].freeze
      private_constant :NONE

      module_function

      # Boards of a lesson stand in a table, and its classes are told of them.
      # @param lesson [String] id
      # @param rehearsal [String, nil] id of the one whose boards they are
      # @return [Errand]
      def tell_boards(lesson, rehearsal: nil)
        facts = { lesson: lesson, rehearsal: rehearsal }.compact
        Errand.new(['tell_boards', *facts.values].join(' '), 'tell_boards', facts)
      end

      # @param entry [Streams::Entry]
      # @param state [Object] of its stream, with the entry in it
      # @return [Array<Errand>]
      def of(entry, state)
        names = TABLE["#{entry.stream[/\A[a-z]+/]}.#{entry.kind}"] or return NONE

        names.filter_map { |name| send(name, Streams::StreamName.id(entry.stream), entry, state) }
      end

      # @param task [String]
      # @param facts [Hash]
      # @param more [Array<Object>] what tells it from others of the same class
      def errand(task, sitting, *more, **facts) = Errand.new([task, sitting, *more].join(' '), task, { sitting: sitting, **facts })

      # Late arrivals get a copy of what is handed out too.
      def hand_copies(sitting, _entry, state) = (errand('hand_copies', sitting) if state.handed.any?)

      # A lesson knows that it was held; in a rehearsal none is.
      def note_held(sitting, _entry, state) = (errand('note_held', sitting) unless state.rehearsal)

      def finish_polls(sitting, *) = errand('finish_polls', sitting)
      def keep_tracks(sitting, _entry, state) = (errand('keep_tracks', sitting) if state.stretches.any?)
      def keep_snapshots(sitting, *) = errand('keep_snapshots', sitting)

      # Each time that a cue is fired is a round of its own.
      def do_cue(sitting, entry, state)
        cue = state.cue(entry.body[:cue])
        errand('do_cue', sitting, entry.seq, cue: cue[:id], firing: entry.seq) if cue && LONG_CUES.include?(cue[:kind])
      end

      def copy_for_pairs(sitting, entry, _state)
        body = entry.body
        errand('copy_for_pairs', sitting, body[:round], **body.slice(:round, :board, :pairs)) if body[:board]
      end

      # What is not counted as it comes is counted now.
      def count_round(sitting, entry, state)
        poll = Streams::StreamName.part(entry.stream)
        errand('count_round', sitting, poll, poll: poll) if state.nameless? || state.counts_marks?
      end

      # Every lesson of a series is made, put elsewhere or called off.
      def lay_series(course, entry, _state)
        series = entry.body[:id]
        Errand.new("lay_series #{course} #{series}", 'lay_series', { course: course, series: series })
      end

      # A class that was set up and has not begun is taught by the plan as it is then, at the time that it says.
      def tell_plan(lesson, *) = Errand.new("tell_plan #{lesson}", 'tell_plan', { lesson: lesson })

      def put_away_poll(sitting, entry, _state) = errand('put_away_poll', sitting, entry.body[:poll], poll: entry.body[:poll])

      private_class_method :errand, *TABLE.values.flatten.uniq
    end
  end
end
