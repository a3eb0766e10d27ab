# frozen_string_literal: true

module Veranda
  module Workshop
    # Reads the plainest of picture formats, binary PPM (netpbm, "P6").
    module Ppm
      module_function

      # @param path [String]
      # @return [Array<String>] `#RRGGBB` of each point, row by row
      def colours(path)
        data = File.binread(path)
        head = data[/\AP6(?:\s+(?:#[^\n]*\n)*\d+){2}\s+255\s/n] or return []
        data.byteslice(head.bytesize..).unpack('C*').each_slice(3).map { |rgb| format('#%02X%02X%02X', *rgb) }
      end
    end
  end
end
