# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Devices that somebody can be invited to switch on, and what they may do then.
      module Invitation
        DEVICES = { 'microphone' => :speak, 'camera' => :camera }.freeze
      end
    end
  end
end
