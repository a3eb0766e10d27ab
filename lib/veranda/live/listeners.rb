# frozen_string_literal: true

module Veranda
  module Live
    # Who of this process's peers listens to which stream.
    class Listeners
      NOBODY = [].freeze

      def initialize
        @peers = Hash.new { |hash, stream| hash[stream] = {} }
        @streams = Hash.new { |hash, peer| hash[peer] = {} }.compare_by_identity
      end

      def add(stream, peer)
        @peers[stream][peer] = true
        @streams[peer][stream] = true
      end

      def remove(stream, peer)
        @streams[peer].delete(stream) if @streams.key?(peer)
        return unless @peers.key?(stream)

        @peers[stream].delete(peer)
        @peers.delete(stream) if @peers[stream].empty?
      end

      def remove_everywhere(peer)
        streams_of(peer).each { |stream| remove(stream, peer) }
        @streams.delete(peer)
      end

      # @return [Array<String>]
      def streams_of(peer) = @streams.key?(peer) ? @streams[peer].keys : []

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
