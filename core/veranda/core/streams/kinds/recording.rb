# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `recording/ID`: how the recording of a class was edited, for the server alone: others are told what is left.
        class Recording < Kind
          def state_class = Recordings::Edits
          def reads?(_reader, _stream) = false
        end
      end
    end
  end
end
