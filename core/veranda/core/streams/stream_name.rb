# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # Names of streams: `sitting/ID`, `board/ID`, `exchange/ID`.
      module StreamName
        KINDS = { 'sitting' => :sitting, 'board' => :board, 'exchange' => :exchange }.freeze

        module_function

        def sitting(id) = "sitting/#{id}"
        def board(id) = "board/#{id}"
        def exchange(sitting_id) = "exchange/#{sitting_id}"

        # @param name [String]
        # @return [Symbol] the kind of stream
        # @raise [Refusal] `unknown_stream`
        def kind(name)
          KINDS[name.to_s[%r{\A[a-z]+(?=/)}]] || raise(Refusal.new(:unknown_stream, 'There is no such board or class.'))
        end

        # @return [String] what follows the slash
        def id(name) = name.split('/', 2).last
      end
    end
  end
end
