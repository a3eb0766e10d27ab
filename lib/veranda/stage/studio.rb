# frozen_string_literal: true

module Veranda
  module Stage
    # Sound and picture of all classes on this server process.
    class Studio
      include Terse

      # What a page may ask for, and of which of its connections it speaks, see {Visit}.
      ACTS = %w[come send share answer candidate switch look_at sound_only link overhear anew].freeze
      SIDES = %w[sending watching screen hearing].freeze
      # s between two looks at who has spoken and what is recorded.
      LOOK_EVERY = 0.5

      # @param reach [Hash, nil] how the media server is reached; nil where there is none
      def initialize(reach)
        @reach = reach
        @link = reach && Link.new(reach)
        @participants = {}.compare_by_identity
        @playing = Playing.new
      end

      # @return [Boolean] whether this server has sound and picture at all
      def there? = !@link.nil?

      # @param archive [Store::Archive]
      # @return [Preparing::ByTelephone, nil] nil where nobody can call
      def by_telephone(archive) = @reach && Preparing::ByTelephone.new(archive, @reach[:telephone])

      # @param hub [Live::Hub]
      def start(hub)
        @hub = hub
        return unless @link

        hub.background { |task| @link.run(task) { |up| @participants.each_value { |one| up ? one.back : one.lost } } }
        hub.background { look_after_all }
      end

      # Somebody went to another place of a class, or may do more or less there.
      # @param peer [Live::Peer]
      def stand(peer)
        participant = @participants[peer] or return
        standing = peer.standing or return
        stream = standing.place && Core::Streams::StreamName.place(standing.sitting, standing.place)
        participant.stand(standing.with(peer.rights[stream] || {}))
      end

      # @param peer [Live::Peer]
      # @param gathering [Live::Gathering]
      # @param message [Hash] checked, see {Live::Protocol}
      # @raise [Core::Refusal]
      def hear(peer, gathering, message)
        return come(peer, gathering, message[:telephone]) if message[:act] == 'come'

        participant = @participants[peer] or raise no_stage
        return participant.hear(message) if participant.is_a?(Plain)

        agree(participant, message) || wish(participant, message) { |link| tell_link(peer, gathering, link) }
      end

      # Somebody's microphone is switched off by another.
      # @param by [String] name of who has done it
      def mute(peer, by) = @participants[peer]&.mute(by)

      # @param peer [Live::Peer] who has gone
      def part(peer) = @participants.delete(peer)&.stop

      private

      # What connections are made of.
      # @return [Boolean] whether it was that
      def agree(participant, message)
        case message[:act]
        when 'send' then participant.publish(Offer.check(message[:sdp].to_s))
        when 'share' then participant.publish_screen(Offer.check(message[:sdp].to_s))
        when 'answer' then participant.answer(message[:side], Offer.plain!(message[:sdp].to_s))
        when 'candidate' then participant.candidate(message[:side].to_s, Candidate.check(message[:with]))
        else return false
        end
        true
      end

      # What goes over them.
      # @yieldparam link [String] how the connection of a page stands, as it says itself
      def wish(participant, message)
        on = message[:on] == true
        case message[:act]
        when 'switch' then participant.switch(message[:switch].to_s.to_sym, on)
        when 'look_at' then participant.look_at(message[:people] || [])
        when 'sound_only' then participant.sound_only(on)
        when 'link' then message[:link] && participant.link(message[:link]) && yield(message[:link])
        when 'overhear' then participant.overhear(message[:place])
        when 'anew' then participant.anew
        end
      end

      # Staff see whose connection is weak.
      def tell_link(peer, gathering, link)
        stream = Core::Streams::StreamName.staff(peer.sitting_id)
        gathering.send_transient(stream, JSON.generate(t: 'link', stream: stream, person: peer.person.id, link: link), pass_on: true)
      end

      def no_stage = Core::Refusal.new(:no_stage, 'There is no sound and picture here.')

      # A page asks for it; those that only draw and write cost the media server nothing. Where there is none, the class goes on without a
      # word about it.
      # @param port [Integer, nil] where somebody hears who has called
      def come(peer, gathering, port)
        return unless @link && peer.sitting_id && !peer.unseen?

        known = @participants[peer]
        # A page that asks again on the same connection was told all afresh and has dropped what it had.
        return known.back if known

        # Before anything of it can be recorded.
        @hub.archive.tracks.written_to(peer.sitting_id, @reach[:tracks])
        @participants[peer] = begin_with(peer, gathering, port)
        stand(peer)
      end

      def begin_with(peer, gathering, port)
        one = on_stage(peer, gathering, port)
        @hub.background { one.run }
        one
      end

      def on_stage(peer, gathering, port)
        person = peer.person
        tell = ->(facts) { peer.send_message(**facts) }
        plain = { voice: voice_of(peer, gathering, tells: true), tell: tell }
        return Simulated.new(@link, @reach, person, playing: @playing, **plain) if person.stand_in?
        return Telephone.new(@link, @reach, person, port: port, **plain) if port && Preparing::ByTelephone.came?(person.id)

        Participant.new(@link, @reach, person.id, tell: tell, voice: voice_of(peer, gathering))
      end

      # @param tells [Boolean] whether it is we who tell others on stage that they speak, since the media server does not
      def voice_of(peer, gathering, tells: false)
        person, sitting = peer.person, peer.sitting_id
        at = ->(place) { Core::Streams::StreamName.place(sitting, place) }
        all = lambda do |place, on|
          gathering.send_transient(at[place], JSON.generate(t: 'voice', stream: at[place], person: person.id, on: on), pass_on: true)
          @participants.each_value.to_a.each { |one| one.told_voice([sitting, place], person.id, on) } if tells
        end
        Voice.new(all, ->(place, ms) { gathering.observe('class.spoke', sitting, person, on: at[place], ms: ms) })
      end

      def look_after_all
        loop do
          sleep LOOK_EVERY
          @participants.each_value.to_a.each(&:look_after)
        end
      end
    end
  end
end
