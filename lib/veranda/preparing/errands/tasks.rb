# frozen_string_literal: true

module Veranda
  module Preparing
    class Errands
      # What errands there are. Each may be carried out twice, and go on where it was left off.
      class Tasks
        # @param archive [Store::Archive]
        # @param video_sites [Array<String>]
        def initialize(archive, video_sites: [])
          @archive = archive
          @video_sites = video_sites
        end

        # Everybody who is here gets a copy of each board that is handed out.
        def hand_copies(sitting:)
          state, staff = facts(sitting)
          return unless state.open?

          giving = HandingOut.new(@archive, sitting)
          Core::Sittings::HandOut.missing(state, staff).each { |board, people| giving.give(board, people) }
        end

        def tell_boards(lesson:, rehearsal: nil) = Classes.new(@archive).boards_changed(lesson, rehearsal: rehearsal)

        # The lesson of a class that was opened knows that it was held, and so that it took place.
        def note_held(sitting:)
          lesson = @archive.sittings.fetch(sitting)[:lesson_id]
          @archive.lessons.lay(lesson, held: true, cancelled: false) unless @archive.lessons.fetch(lesson)[:held]
        end

        # The lessons of a series become those that it says.
        def lay_series(course:, series:) = LayingSeries.new(@archive, course, series).call

        def tell_plan(lesson:) = Classes.new(@archive).plan_changed(lesson)

        # What a cue asks for that takes a while. Fired again, one for rooms opens what it dealt.
        # @param cue [String] id
        # @param firing [Integer] which firing of it
        def do_cue(sitting:, cue:, firing:)
          state, staff = facts(sitting)
          step = staff.steps.find { |one| (one[:cues] || []).any? { |each| each[:id] == cue } }
          cue = staff.cue(cue)
          return unless cue && state.open?

          act = Store::Ids.of("cue #{sitting} #{firing}")
          case cue[:kind]
          when 'pairs' then PairingUp.new(@archive, sitting).call(round: act, **cue.slice(:size, :board))
          when 'rooms' then Grouping.new(@archive, sitting).cue(cue[:id], firing, step: step[:id], **rooms(cue, step))
          when 'clip' then play_clip(sitting, cue[:material], act)
          end
        end

        # Each pair gets a copy of a board.
        def copy_for_pairs(sitting:, **drawn) = PairingUp.new(@archive, sitting).give_copies(**drawn)

        # Opens rooms that were dealt, each with a board of its own.
        def open_rooms(sitting:, activity:, act:) = Grouping.new(@archive, sitting).open_rooms(activity, act: act) && nil

        # @return [String] id of the room
        def add_room(sitting:, activity:, name:, act:) = Grouping.new(@archive, sitting).add(activity, name, act: act)

        # Every room, or some, gets a copy of a board.
        def give_boards(sitting:, activity:, board:, act:, rooms: nil)
          Grouping.new(@archive, sitting).give(activity, board, rooms, act: act) && nil
        end

        def count_round(sitting:, poll:)
          counting = CountingBallots.new(@archive, sitting)
          counting.count(poll)
          counting.count_marks(poll)
        end

        def put_away_poll(sitting:, poll:) = CountingBallots.new(@archive, sitting).put_away(poll)
        def finish_polls(sitting:) = CountingBallots.new(@archive, sitting).finish
        def keep_tracks(sitting:) = @archive.tracks.want(sitting)

        # So that the recording of a class that is over opens at once.
        def keep_snapshots(sitting:)
          state, = facts(sitting)
          @archive.log.heads(Core::Access.recorded(state)).each { |name, head| @archive.log.snapshots.want(name, head) if head.positive? }
        end

        # Staff are told what became of a cue that was not done.
        # @param row [Hash] an errand
        # @param refusal [Core::Refusal]
        def refused(row, refusal)
          return unless row[:task] == 'do_cue'

          sitting, cue = row[:facts].values_at(:sitting, :cue)
          stream = Core::Streams::StreamName.staff(sitting)
          Deciding::Perform.call(@archive.log, 'class.cue_refused', { cue: cue, says: refusal.says }, stream: stream, id: Store::Ids.of(row[:key]))
        rescue Core::Refusal
          # The class is over: nobody waits for it any more.
          nil
        end

        private

        def facts(sitting)
          names = Core::Streams::StreamName
          [names.sitting(sitting), names.staff(sitting)].map { |name| @archive.log.state(name).first }
        end

        def rooms(cue, step) = { name: cue[:label] || step[:title] || 'Rooms', plan: { **cue[:plan], board: cue[:board] }.compact }

        def play_clip(sitting, material, act)
          lesson = @archive.lessons.fetch(@archive.sittings.fetch(sitting)[:lesson_id])
          PlayingClip.new(@archive, lesson, by: Deciding::Perform::HOUSE, videos: LinkedVideo.new(@video_sites))
                     .call(@archive.materials.fetch(material), sitting: sitting, place: Core::Sittings::Places::MAIN, act: act)
        end
      end
    end
  end
end
