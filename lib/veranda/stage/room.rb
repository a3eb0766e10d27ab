# frozen_string_literal: true

require 'openssl'

module Veranda
  module Stage
    # The media room of one place of a class: there from when the first comes until the last has gone. Its secrets follow from the
    # media server's and its name, so that every process knows them and none writes them down.
    class Room
      include Terse

      # bit/s of one picture, at most; those of people take less.
      BITRATE = Sending::BITRATES.values.max
      # Who may send at once.
      PUBLISHERS = 64
      # How many packets of 20 ms tell that somebody speaks, and from which level on (−dBov).
      TALKING = { audiolevel_event: true, audio_active_packets: 5, audio_level_average: 55 }.freeze

      # Nobody finds it by looking for rooms, watches without being in it, or has anything recorded without its secret.
      MADE = { is_private: true, permanent: false, require_pvtid: true, lock_record: true, notify_joining: true, publishers: PUBLISHERS,
               bitrate: BITRATE, bitrate_cap: true, fir_freq: 0, audiocodec: 'opus', videocodec: 'vp8' }.freeze

      NOT_THERE, THERE, NO_SUCH, TAKEN = 426, 427, 428, 436

      # @return [String]
      attr_reader :name, :sitting, :place

      # Where the media server passes packets to itself.
      ITSELF = '127.0.0.1'

      # @param reach [Hash] `{ key:, rooms:, tracks: }`
      # @param sitting [String] id of the class
      # @param place [String] id
      def initialize(reach, sitting, place)
        @reach = reach
        @sitting = sitting
        @place = place
        @name = "#{sitting}.#{place}"
      end

      # @param handle [Handle]
      # @param person [String] id
      # @return [Hash] `{ private_id:, publishers:, attendees: }`
      # @raise [Link::Away, Link::Refused]
      def join(handle, person, tries: 3)
        make(handle)
        handle.ask('join', ptype: 'publisher', room: name, pin: pin, id: person).first
      rescue Link::Refused => e
        raise if (tries -= 1).zero?

        # Another tab or another process has them still; the last to come counts.
        kick(handle, person) if e.code == TAKEN
        # Taken away in between, when the last had gone.
        retry if [NOT_THERE, TAKEN].include?(e.code)
        raise
      end

      # @param streams [Array<Hash>] `{ feed:, mid: }`
      # @return [String] SDP, an offer
      def watch(handle, private_id, streams)
        handle.ask('join', ptype: 'subscriber', room: name, pin: pin, private_id: private_id, streams: streams, autoupdate: false)
      end

      # Stops, or lets through, the packets of one stream.
      def moderate(handle, person, mid, mute) = handle.ask('moderate', room: name, secret: secret, id: person, mid: mid, mute: mute)

      # Has all that somebody sends written down from now on.
      # @param name [String, nil] that no file has yet; nil to have no more of it written
      def record(handle, name) = handle.ask('configure', record: !name.nil?, secret: secret, **{ filename: name }.compact)

      # Has somebody be in it by what comes to a port, see {Carrying}.
      # @param streams [Array<Hash>] `{ type:, mindex:, mid:, codec: }`
      # @return [Hash] `{ ip:, port:, rtcp_port: }`
      def receive(handle, name, streams, tries: 2)
        make(handle)
        handle.ask('add_remote_publisher', room: self.name, secret: secret, id: name, iface: ITSELF, streams: streams).first
      rescue Link::Refused => e
        raise if (tries -= 1).zero? || e.code != TAKEN

        # What was left behind when a server was killed.
        receive_no_more(handle, name)
        kick(handle, name)
        retry
      end

      def receive_no_more(handle, name)
        handle.ask('remove_remote_publisher', room: self.name, secret: secret, id: name)
        tidy(handle)
      rescue Link::Refused
        nil
      end

      # Has what somebody sends passed to where another room takes it.
      # @param streams [Array<Hash>] `{ mid:, port:, ssrc:, pt: }`
      # @return [Array<Integer>] ids by which it is ended
      def forward(handle, name, address, streams)
        facts, = handle.ask('rtp_forward', room: self.name, secret: secret, admin_key: @reach[:key], publisher_id: name, host: address,
                                           streams: streams)
        facts[:forwarders].map { |one| one[:stream_id] }
      end

      def forward_no_more(handle, name, id)
        handle.ask('stop_rtp_forward', room: self.name, secret: secret, admin_key: @reach[:key], publisher_id: name, stream_id: id)
      rescue Link::Refused
        nil
      end

      # Room of another place of the same class.
      # @param place [String] id
      def beside(place) = Room.new(@reach, sitting, place)

      def kick(handle, person)
        handle.ask('kick', room: name, secret: secret, id: person)
      rescue Link::Refused
        nil
      end

      # Takes it away unless somebody is there.
      def tidy(handle)
        present = handle.ask('listparticipants', room: name).first[:participants]
        handle.ask('destroy', room: name, secret: secret) if present.empty?
      rescue Link::Refused
        nil
      end

      private

      def make(handle)
        handle.ask('create', room: name, admin_key: @reach[:key], secret: secret, pin: pin, rec_dir: @reach[:tracks], **MADE, **TALKING)
      rescue Link::Refused => e
        raise unless e.code == THERE
      end

      def secret = derive('secret')
      def pin = derive('pin')
      def derive(what) = OpenSSL::HMAC.hexdigest('SHA256', @reach[:rooms], "#{what} of #{name}")[0, 32]
    end
  end
end
