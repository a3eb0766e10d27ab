# frozen_string_literal: true

require 'json'
require 'securerandom'

module Veranda
  module Workshop
    # Has strangers' files opened by our own Ruby in a program of its own, with the same limits and without a network, as any other
    # program that does so ({Tool}). What it finds comes back as JSON.
    #
    #   Limited.call(:clean_svg, dir: dir, path: 'in.svg', to: 'out.svg') #=> { w: 200, h: 100, … }
    module Limited
      ERRORS = { 'NotSvg' => -> { CleanSvg::NotSvg }, 'TooMuch' => -> { ZipGuard::TooMuch }, 'Damaged' => -> { ZipGuard::Damaged } }.freeze
      LIBRARY = File.join(ROOT, 'lib/veranda.rb')

      module_function

      # @param name [Symbol] a method of {LimitedProgram}
      # @param dir [String] folder to work in
      # @param arguments [Hash] plain values
      # @return [Hash] with symbol keys
      # @raise [CleanSvg::NotSvg, ZipGuard::TooMuch, ZipGuard::Damaged, Core::Refusal, Tool::Failed, Tool::TooLong]
      def call(name, dir:, seconds: 60, memory: 2 * Tool::GIGABYTE, **arguments)
        asked = File.join(dir, "asked-#{SecureRandom.alphanumeric(8)}.json")
        File.write(asked, JSON.generate(arguments))
        said = Tool.run(RbConfig.ruby, '-r', LIBRARY, '-e', 'Veranda::Workshop::LimitedProgram.main', name.to_s, asked,
                        dir: dir, seconds: seconds, memory: memory, environment: { 'RUBYLIB' => $LOAD_PATH.join(':') })
        answer(JSON.parse(said, symbolize_names: true))
      end

      def answer(facts)
        return facts unless facts[:error]
        raise Core::Refusal.new(facts[:code].to_sym, facts[:says]) if facts[:error] == 'Refusal'

        raise ERRORS.fetch(facts[:error]) { -> { Tool::Failed } }.call, facts[:says].to_s
      end
      private_class_method :answer
    end
  end
end
