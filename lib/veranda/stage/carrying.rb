# frozen_string_literal: true

module Veranda
  module Stage
    # Takes what somebody sends in one room into others too, where it is as theirs as if they were there. The media server passes the
    # packets to itself, those alone that it would pass to people; the browser sends them once.
    class Carrying
      # The media server tells sounds and pictures apart by these (its list of remote publishers).
      SOURCE, STEP = 1000, 10
      CODECS = { 'audio' => { codec: 'opus', pt: 111 }, 'video' => { codec: 'vp8', pt: 96 } }.freeze

      # @param handle [Handle]
      # @param room [Room] from where
      # @param name [String] by which all rooms know it
      def initialize(handle, room, name)
        @handle = handle
        @room = room
        @name = name
        @carried = {}
      end

      # @param tracks [Array<Hash>] `{ mid:, type: }` of what is sent now
      # @param rooms [Array<Room>] into which it goes, and into no others
      # @raise [Link::Away, Link::Refused]
      def keep(tracks, rooms)
        names = tracks.empty? ? [] : rooms.map(&:name)
        (@carried.keys - names).each { |gone| stop(gone) }
        rooms.each { |room| @carried[room.name] ||= begin_in(room, tracks) if names.include?(room.name) }
      end

      # What was sent has ended, and is not passed on any more.
      def forget
        @carried.each_key.to_a.each { |name| stop(name) }
      end

      private

      def begin_in(room, tracks)
        streams = tracks.each_with_index.map do |track, i|
          { type: track[:type], mindex: i, mid: i.to_s, codec: CODECS.fetch(track[:type])[:codec] }
        end
        ports = room.receive(@handle, @name, streams)
        sent = tracks.each_with_index.map do |track, i|
          { mid: track[:mid], port: ports[:port], ssrc: SOURCE + STEP * i, pt: CODECS.fetch(track[:type])[:pt],
            **(track[:type] == 'video' ? { rtcp_port: ports[:rtcp_port] } : {}) }
        end
        { room: room, ids: @room.forward(@handle, @name, ports[:ip], sent) }
      end

      def stop(name)
        carried = @carried.delete(name)
        carried[:ids].each { |id| @room.forward_no_more(@handle, @name, id) }
        carried[:room].receive_no_more(@handle, @name)
      end
    end
  end
end
