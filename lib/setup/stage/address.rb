# frozen_string_literal: true

require 'open3'
require 'socket'

module Setup
  module Stage
    # Where sound and picture go. The media server cannot be bound to loopback: told to, it is silent and takes every other interface.
    # So it gets a private address on a virtual interface, where that may be made; else the machine's own.
    module Address
      INTERFACE = 'veranda0'
      # Of the private ones (RFC 1918), far from where home networks lie.
      PRIVATE = '10.255.83.1'
      # Kinds of interface that kernels may have for this.
      KINDS = %w[dummy bridge ifb].freeze

      module_function

      # @param wanted [String, nil] by setting
      # @return [String]
      def find(wanted)
        return wanted if wanted && !wanted.empty?

        own? || make ? PRIVATE : machine
      end

      def own? = Socket.ip_address_list.any? { |address| address.ip_address == PRIVATE }

      # @return [Boolean] whether the interface is there now
      def make
        return false unless Process.uid.zero?

        made = KINDS.any? { |kind| ip('link', 'add', INTERFACE, 'type', kind) }
        made && ip('addr', 'add', "#{PRIVATE}/32", 'dev', INTERFACE) && ip('link', 'set', INTERFACE, 'up')
      end

      def machine
        found = Socket.ip_address_list.find { |address| address.ipv4? && !address.ipv4_loopback? }
        found&.ip_address or abort 'This machine has no address that sound and picture could be sent to. Set MEDIA_ADDRESS.'
      end

      def ip(*words) = Open3.capture2e('ip', *words).last.success?
    rescue Errno::ENOENT
      false
    end
  end
end
