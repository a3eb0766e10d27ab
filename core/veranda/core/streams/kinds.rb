# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # All kinds of streams, see {Kind}: one file each beside this one.
      module Kinds
        ALL = Dir[File.join(__dir__, 'kinds/*.rb')].to_h do |file|
          kind = const_get(File.basename(file, '.rb').capitalize).new
          [kind.kind, kind]
        end.freeze

        # By the word that stands before the slash.
        NAMES = ALL.keys.to_h { |kind| [kind.to_s, kind] }.freeze

        # What streams of a class belong to: to it, or to themselves.
        IN_CLASSES = %i[class itself].freeze
        OF_CLASSES = ALL.values.select { |kind| IN_CLASSES.include?(kind.owner) }.freeze
        private_constant :IN_CLASSES, :OF_CLASSES

        module_function

        # @param stream [String]
        # @return [Kind]
        # @raise [Refusal] `unknown_stream`
        def of(stream) = ALL[StreamName.kind(stream)]

        # @param owner [Symbol] see {Kind#owner}
        # @return [Array<Kind>]
        def belonging_to(owner) = ALL.values.select { |kind| kind.owner == owner }

        # @return [Array<Kind>] kinds of which a class has streams
        def of_classes = OF_CLASSES

        # @return [Array<Kind>] kinds that recordings hold
        def recorded = ALL.values.select(&:recorded?)
      end
    end
  end
end
