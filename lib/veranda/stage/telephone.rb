# frozen_string_literal: true

module Veranda
  module Stage
    # Somebody who has called: sound alone, by way of whatever stands between us and the telephone, which sends to a port of the media
    # server and is sent each voice of the room to a port of its own. Its keys come as what a page would ask for.
    class Telephone < Plain
      # By which the room knows whoever only listens for it.
      ENDING = '--line'
      PORTS = (1_024..65_535)

      # @param port [Integer] where it takes what it hears, on this machine
      def initialize(*given, port:, **more)
        super(*given, **more)
        @port = port
        @lines = {}
      end

      private

      def streams = [SOUND]

      def begin_at(ports)
        @listener = Visit.new(@link, @room, "#{@person.id}#{ENDING}")
        @listener.come { |event| @jobs.once(:hear) { hear_all } if heard?(event) }
        hear_all
        @tell.call(t: 'telephone', port: ports[:port], source: Carrying::SOURCE)
      end

      def heard?(event)
        data = event.dig(:plugindata, :data)
        data && @listener&.feeds && %i[changed over].include?(@listener.feeds.hear(data))
      end

      # Whoever has come is heard too, and whoever has gone no more.
      def hear_all
        return unless @listener&.feeds

        wanted = @listener.feeds.wanted([], pictures: false, without: @person.id)
        (@lines.keys - wanted).each { |gone| @lines.delete(gone) }
        (wanted - @lines.keys).each { |name, mid| @lines[[name, mid]] = forward(name, mid) }
      end

      # Each voice has a number of its own by which it is told from others.
      def forward(name, mid)
        @count = (@count || Carrying::SOURCE) + 1
        @room.forward(@handle, name, Room::ITSELF, [{ mid: mid, port: @port, ssrc: @count, pt: Carrying::CODECS['audio'][:pt] }])
      end

      def ended
        @lines.each { |(name, _), ids| ids.each { |id| @room.forward_no_more(@handle, name, id) } }
        @lines = {}
        listener, @listener = @listener, nil
        listener&.leave
      end
    end
  end
end
