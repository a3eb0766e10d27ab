# frozen_string_literal: true

module Veranda
  module Live
    # Who of this process's peers listens to which stream.
    class Listeners
      NOBODY = [].freeze

      def initialize
        @peers = Hash.new { |hash, stream| hash[stream] = {} }
      end

      def add(stream, peer) = @peers[stream][peer] = true

      def remove(stream, peer)
        @peers[stream].delete(peer)
        @peers.delete(stream) if @peers[stream].empty?
      end

      def remove_everywhere(peer) = streams_of(peer).each { |stream| remove(stream, peer) }

      # @return [Array<String>]
      def streams_of(peer) = @peers.select { |_, peers| peers.key?(peer) }.keys

      # @return [Boolean]
      def listens?(stream, peer) = @peers.key?(stream) && @peers[stream].key?(peer)

      # @return [Array<Peer>]
      def to(stream) = @peers.key?(stream) ? @peers[stream].keys : NOBODY

      # @return [Array<String>] streams that anyone listens to
      def streams = @peers.keys

      def empty? = @peers.empty?
    end
  end
end
