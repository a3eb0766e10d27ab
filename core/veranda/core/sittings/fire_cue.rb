# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Does what was prepared on a step: see {Lessons::Cues}. A timer may be fired again and again.
      class FireCue < SittingCommand
        on :sitting, 'class.cue'
        contract { required(:cue).value(Types::ID) }

        def decide
          staff!('Only instructors and assistants fire cues.')
          going_on!
          cue = sitting.steps.flat_map { |step| step[:cues] || [] }.find { |candidate| candidate[:id] == input[:cue] }
          raise Refusal.new(:no_such_cue, 'That cue is not on this run sheet.') unless cue

          ['cued', { cue: cue[:id], kind: cue[:kind], **effect(cue) }]
        end

        private

        def effect(cue)
          case cue[:kind]
          when 'show' then { board: shown!(cue[:board]), page: cue[:page] || first_page(cue[:board]) }
          when 'timer' then { ends_at: scene.at + cue[:seconds] * 1000, label: cue[:label] }.compact
          else {}
          end
        end

        def shown!(id)
          board = sitting.boards.find { |candidate| candidate[:id] == id }
          return id if board && board[:audience] == 'everyone'

          raise Refusal.new(:board_for_staff, 'Students cannot see that board. Change its audience first.')
        end

        def first_page(id) = sitting.first_page(id)
      end
    end
  end
end
