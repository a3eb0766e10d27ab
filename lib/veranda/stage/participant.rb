# frozen_string_literal: true

module Veranda
  module Stage
    # One page of one person, as far as sound and picture go. What is asked of it is done in turn, in a fiber of its own; while the media
    # server is away nothing is lost but sound and picture, and once it is back all is as it was.
    class Participant
      include Terse

      # Tries, and s between them, to be sent something that is not there yet.
      TRIES, PAUSE = 10, 0.2

      # @param link [Link]
      # @param reach [Hash]
      # @param person [String] id
      # @param tell [#call] tells the page something
      # @param voice [#call] tells everybody whether they speak
      def initialize(link, reach, person, tell:, voice:)
        @link = link
        @reach = reach
        @person = person
        @page = Page.new(tell)
        @voice = voice
        @jobs = Jobs.new(tell)
        @allowed = Allowed.new
        @looked_at = []
        @epoch = 0
      end

      # Works until it is let go of; run it in a task of its own.
      def run
        @jobs.run
      ensure
        leave
      end

      # Goes to where its person is, with what they may do there; nowhere when `place` is nil.
      # @param sitting [String] id
      # @param rights [Hash{Symbol => Boolean}]
      # @param recorded [Boolean] whether what is said there is recorded
      def stand(sitting, place, rights, recorded: false)
        @wanted = [[sitting, place], rights, recorded]
        @jobs.once(:stand) do
          before = @at
          @at, *allowed = @wanted
          @allowed.stand(*allowed)
          next if @ceded

          before == @at ? allow : enter
          share
        end
      end

      # The page lost what it had, or wants to be the one again that its person is heard by.
      def anew
        @jobs.once(:anew) do
          @ceded = false
          enter
        end
      end

      # The media server is back.
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

      def answer(sdp)
        work do
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
      def look_at(people) = look { @looked_at = people }

      # @param on [Boolean] whether they are sent no pictures, as on a weak connection
      def sound_only(on) = look { @sound_only = on }

      # The media server went away, with all that it knew.
      def lost
        @visit = nil
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
        sitting, place = @at
        join(sitting, place) if place && @link.up?
        state
        watch
      rescue Link::Away, Link::Refused
        leave
        state
        raise if tries == 1 || !@link.up?

        sleep PAUSE
        enter(tries - 1)
      end

      def join(sitting, place)
        @visit = Visit.new(@link, Room.new(@reach, sitting, place), @person)
        @visit.come { |event| hear(event) }
        @allowed.apply(@visit)
      end

      def leave
        visit, @visit = @visit, nil
        visit&.leave
      end

      def feeds = @visit&.feeds
      def handle(side) = @visit&.public_send(side)&.handle

      # What is told of the room comes between other things that are done.
      def hear(event)
        data = event.dig(:plugindata, :data)
        return unless data && feeds
        return taken_over if data[:leaving] == 'ok'

        case feeds.hear(data)
        when :talk then talked(data)
        when :changed then changed
        when :over then anew
        end
      end

      def talked(data)
        talks = data[:videoroom] == 'talking'
        @voice.call(@at.last, talks) if data[:id] == @person
        # Whoever speaks is seen.
        @jobs.once(:watch) { watch } if talks
      end

      # The same person has come in by another page.
      def taken_over
        @ceded = true
        @jobs.once(:leave) { leave }
        @page.taken_over(up: @link.up?, epoch: @epoch)
      end

      def changed
        @jobs.once(:change) do
          state
          watch
        end
      end

      def state = @page.stands(up: @link.up?, epoch: @epoch, place: @at&.last, feeds: feeds)

      def watch(tries = TRIES)
        watching = @visit&.watching or return
        wanted = feeds.wanted(@looked_at, pictures: !@sound_only).reject { |name, _| Core::Recordings::ScreenName.person(name) == @person }
        offer = watching.change(wanted) or return
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
