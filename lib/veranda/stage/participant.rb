# frozen_string_literal: true

module Veranda
  module Stage
    # One page of one person, as far as sound and picture go. What is asked of it is done in turn, in a fiber of its own; while the media
    # server is away nothing is lost but sound and picture, and once it is back all is as it was.
    class Participant
      include Terse
      include Told

      # Tries, and s between them, to be sent something that is not there yet.
      TRIES, PAUSE = 10, 0.2

      # Every beginning has a number of its own, whichever process it is made by: a page that comes back may not take one for another.
      # Browsers count up to 2 ** 53 without rounding.
      FIRST_EPOCHS = (1..(2**48))
      private_constant :FIRST_EPOCHS

      # @param link [Link]
      # @param reach [Hash]
      # @param person [String] id
      # @param tell [#call] tells the page something
      # @param voice [Voice] theirs
      def initialize(link, reach, person, tell:, voice:)
        @link = link
        @reach = reach
        @person = person
        relays = Relays.new(reach[:relays] || [], reach[:relay_secret].to_s)
        @page = Page.new(tell, relays: -> { relays.of(person) })
        @voice = voice
        @jobs = Jobs.new(tell)
        @allowed = Allowed.new
        @looking = Looking.new(person)
        @epoch = Random.rand(FIRST_EPOCHS)
        @overhearing = Overhearing.new(link, person, @page, again: -> { @jobs.once(:hear) { @overhearing.go_on } })
      end

      # Works until it is let go of; run it in a task of its own.
      def run
        @jobs.run
      ensure
        leave
      end

      # Goes to where its person is, with what they may do there.
      # @param standing [Standing]
      def stand(standing)
        @wanted = standing
        @jobs.once(:stand) do
          before, @at = @at, @wanted
          @allowed.stand(@at)
          @looking.large = @at.large
          state if @overhearing.place && @at.hears.none?(@overhearing.place) && @overhearing.stop
          next if @ceded

          @at.same_place?(before) ? allow : enter
          watch
          share
        end
      end

      # Hears another place, without being in it, if they may; or no other.
      # @param place [String, nil] id
      def overhear(place)
        work do
          @overhearing.stop
          @overhearing.begin(room(place)) if place && @at&.hears&.include?(place)
          state
        end
      end

      # Call it every half second or so.
      def look_after
        @voice.look(speaks: feeds&.speaking&.include?(@person) || false)
        @jobs.once(:whole) { sent.select(&:due?).each(&:whole) } if sent.any?(&:due?)
      end

      # The page lost what it had, or wants to be the one again that its person is heard by.
      def anew
        @jobs.once(:anew) do
          @ceded = false
          enter
        end
      end

      # What was agreed on is gone, at the media server or on the page, which another page of the same person may have taken over from.
      def back = @jobs.once(:anew) { @ceded ? state : enter }

      # @param sdp [String] an offer
      def publish(sdp)
        work do
          sending = @visit&.sending or next
          @page.sends(@epoch, Offer.placed!(sending.begin(sdp), @reach[:address]))
        end
      end

      # @param sdp [String] an offer of their screen
      def publish_screen(sdp)
        work do
          # What allows it may be on its way still: the command and the offer do not come by the same door.
          @offered = sdp
          share
        end
      end

      # @param side [String] of what it was sent
      def answer(side, sdp)
        work do
          next @overhearing.go_on(sdp) if side == 'hearing'

          @visit&.watching&.answered(sdp)
          watch
        end
      end

      # @param side [String] one of {Studio::SIDES}
      # @param candidate [Hash]
      def candidate(side, candidate) = work { handle(side)&.trickle(candidate) }

      # @param switch [Symbol] `:microphone` or `:camera`
      def switch(switch, on)
        work do
          @allowed.switch(switch, on)
          allow
        end
      end

      # Their microphone is switched off, whatever the page does; they may switch it on again.
      # @param by [String] name of who wishes it
      def mute(by)
        @jobs.add do
          @page.muted(by) if @allowed.off(:microphone)
          allow
        end
      end

      # @param people [Array<String>] whose pictures they wish to see
      def look_at(people) = look { @looking.people = people }

      # How their connection stands, as their page measures it.
      # @param link [String] one of {Looking::LINKS}
      # @return [Boolean] whether it is worth telling
      def link(link)
        changed = @looking.link != link
        look { @looking.link = link } if changed
        changed || link != Looking::LINKS.keys.first
      end

      # @param on [Boolean] whether they are sent no pictures, as on a weak connection
      def sound_only(on) = look { @looking.sound_only = on }

      # The media server went away, with all that it knew.
      def lost
        @visit = nil
        @overhearing.lost
        state
      end

      # Ends it. What still waits to be done is not done.
      def stop = @jobs.stop

      private

      # What a page asks for; there is an end to it.
      def work(&) = @jobs.ask(&)

      def look
        work do
          yield
          watch
        end
      end

      # What cannot be stopped must not go on: then all of it ends, and begins anew.
      def allow
        @allowed.apply(@visit) if @visit&.sending
      rescue Link::Away, Link::Refused
        enter
      end

      def share
        return unless @offered && @visit&.sending && @allowed.rights[:screen]

        sdp, @offered = @offered, nil
        @allowed.screen(@visit.share)
        @page.shares(@epoch, Offer.placed!(@visit.screen.begin(sdp), @reach[:address]))
      end

      def enter(tries = TRIES)
        leave
        @epoch += 1
        join if @at&.place && @link.up?
        state
        watch
      rescue Link::Away, Link::Refused
        leave
        state
        raise if tries == 1 || !@link.up?

        sleep PAUSE
        enter(tries - 1)
      end

      def join
        @visit = Visit.new(@link, room(@at.place), @person)
        @visit.come { |event| hear(event) }
        @voice.in(@at.place)
        @allowed.apply(@visit)
      end

      def leave
        @voice.over
        @overhearing.stop
        visit, @visit = @visit, nil
        visit&.leave
      end

      def sent = [@visit&.sending, @visit&.screen].compact
      def room(place) = Room.new(@reach, @at.sitting, place)
      def feeds = @visit&.feeds
      def handle(side) = side == 'hearing' ? @overhearing.handle : @visit&.public_send(side)&.handle

      def state
        return @page.taken_over(up: @link.up?, epoch: @epoch) if @ceded

        @page.stands(up: @link.up?, epoch: @epoch, place: @at&.place, feeds: feeds, hears: @overhearing.place)
      end

      def watch(tries = TRIES)
        watching = @visit&.watching or return
        offer = watching.change(@looking.wanted(feeds)) or return
        @page.receives(@epoch, offer)
      rescue Link::Refused
        # Somebody is not quite there yet, or not any more.
        return if tries == 1

        sleep PAUSE
        watch(tries - 1)
      end
    end
  end
end
