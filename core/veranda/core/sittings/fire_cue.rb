# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Does what was prepared on a step: see {Lessons::Cues}. A timer may be fired again and again, and pairs drawn anew.
      class FireCue < SittingCommand
        on :staff, 'class.cue'
        touches :sitting, :main
        contract { required(:cue).value(Types::ID) }

        def decide
          staff!('Only instructors and assistants fire cues.')
          going_on!
          cue = plan.cue(input[:cue])
          raise Refusal.new(:no_such_cue, 'That cue is not on this run sheet.') unless cue

          [entry('cued', { cue: cue[:id] }), effect(cue)]
        end

        private

        # Pairs are drawn aside, and rooms dealt and opened, see {Pair}, {Rooms::OpenRooms}: what follows the cue has it done.
        def enough!(cue)
          return if sitting.present.count { |seat| !seat.staff? } >= 2

          raise Refusal.new(:too_few, "For #{cue[:kind]} there must be at least two students in the class.")
        end

        # It is put on aside, see {PutOnClip}.
        def chosen!(cue)
          raise Refusal.new(:cue_incomplete, 'Nobody has chosen yet what this cue plays.') unless cue[:material]
        end

        def hand_out(cue) = sitting.handed.include?(cue[:board]) ? [] : [entry('handed_out', cue.slice(:board), on: :sitting)]

        def show(cue)
          entry('shown', { board: open_board!(cue[:board]), page: cue[:page] || plan.first_page(cue[:board]) }, on: :main)
        end

        def effect(cue)
          case cue[:kind]
          when 'show' then show(cue)
          when 'hand_out' then [show(cue), *hand_out(cue)]
          when 'pairs', 'rooms' then enough!(cue)
          when 'clip' then chosen!(cue)
          when 'poll', 'set' then raise Refusal.new(:cue_is_poll, 'Open the poll of this cue on its card.')
          when 'timer'
            entry('timer_set', { ends_at: scene.at + cue[:seconds] * 1000, **cue.slice(:label, :until_done) }.compact, on: :main)
          when 'record' then entry('recording', { on: true, planned: true }, on: :sitting) unless sitting.recording?
          end
        end
      end
    end
  end
end
