# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Does what was prepared on a step: see {Lessons::Cues}. A timer may be fired again and again.
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

        def effect(cue)
          case cue[:kind]
          when 'show'
            entry('shown', { board: open_board!(cue[:board]), page: cue[:page] || plan.first_page(cue[:board]) }, on: :main)
          when 'timer'
            entry('timer_set', { ends_at: scene.at + cue[:seconds] * 1000, **cue.slice(:label, :until_done) }.compact, on: :main)
          when 'record' then entry('recording', { on: true, planned: true }, on: :sitting) unless sitting.recording?
          end
        end
      end
    end
  end
end
