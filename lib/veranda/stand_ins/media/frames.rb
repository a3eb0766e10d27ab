# frozen_string_literal: true

module Veranda
  module StandIns
    module Media
      # Sound and pictures as they lie in files: what is sent at once, piece by piece.
      module Frames
        # Bytes before the first picture, and before each (IVF, as encoders write it).
        IVF_HEAD, IVF_FRAME = 32, 12
        # Bytes of a page before the list of its pieces (RFC 3533, 6).
        OGG_HEAD = 27
        # A piece of this length goes on in the next.
        OGG_WHOLE = 255

        module_function

        # @param path [String] an IVF file
        # @return [Array<String>] its pictures
        def pictures(path)
          bytes = File.binread(path)
          at = IVF_HEAD
          rows = []
          while (length = bytes.byteslice(at, 4)&.unpack1('V'))
            rows << bytes.byteslice(at + IVF_FRAME, length)
            at += IVF_FRAME + length
          end
          rows
        end

        # @param path [String] an Ogg file with Opus in it
        # @return [Array<String>] its packets, without the two that describe them (RFC 7845, 5)
        def sounds(path) = pages(File.binread(path)).drop(2)

        # Packets that pages of an Ogg file hold.
        def pages(bytes)
          at = 0
          rows = [+'']
          while (count = bytes.getbyte(at + OGG_HEAD - 1))
            lengths = bytes.byteslice(at + OGG_HEAD, count).bytes
            at += OGG_HEAD + count
            lengths.each do |length|
              rows.last << bytes.byteslice(at, length)
              at += length
              rows << +'' unless length == OGG_WHOLE
            end
          end
          rows.reject(&:empty?)
        end
        private_class_method :pages
      end
    end
  end
end
