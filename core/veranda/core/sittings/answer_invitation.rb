# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Whoever was invited to speak or to be seen agrees, and may from then on; or would rather not.
      class AnswerInvitation < SittingCommand
        on :place, 'class.answer_invitation'
        touches :staff
        begins :own
        contract { required(:yes).value(:bool) }

        def decide
          going_on!
          in_here!
          invitation = scene.of(:own).invitation
          return unless invitation && invitation[:place] == here

          device = invitation[:device]
          [entry('invitation_answered', {}, on: :own),
           entry('answered_invitation', { person: by.id, device: device, yes: input[:yes] }, on: :staff),
           *(allowed(Invitation::DEVICES.fetch(device)) if input[:yes])]
        end

        private

        # Only where the rule for all, or an exception, says otherwise.
        def allowed(right)
          [entry('ruled', { right: right.to_s, allow: true, person: by.id })] unless scene.right(right).allowed?
        end
      end
    end
  end
end
