# frozen_string_literal: true

module Veranda
  module Live
    # What follows entries in a live class, see {Deciding::Followers}. Followers run between batches and look at the class as it
    # is then; several that wait for the same thing are one.
    class Aftermath
      include Terse

      # Kind of stream and of entry, and what follows it.
      TABLE = {
        'sitting.planned' => %i[review tell_timing], 'sitting.boards' => %i[review], 'staff.boards' => %i[review],
        'sitting.opened' => %i[let_in review tell_timing], 'staff.waits' => %i[let_in], 'staff.doors_set' => %i[let_in],
        'staff.removed' => %i[turn_out review_doors], 'sitting.out' => %i[review_doors], 'staff.let_back' => %i[review_doors],
        'sitting.joined' => %i[review_doors], 'own.copy_given' => %i[review_person],
        'staff.poll_opened' => %i[review], 'staff.poll_put_away' => %i[review],
        'own.boards' => %i[review_person],
        'sitting.ended' => %i[review send_home tell_timing],
        'sitting.moved' => %i[tell_timing], 'sitting.extended' => %i[tell_timing], 'sitting.recording' => %i[tell_timing review_rights],
        'place.ruled' => %i[review_rights], 'place.rules_set' => %i[review_rights],
        'place.floor_lent' => %i[review_rights], 'place.floor_back' => %i[review_rights],
        'place.screen_on' => %i[review_rights], 'place.screen_off' => %i[review_rights],
        'place.made_large' => %i[review_rights], 'place.muted' => %i[mute],
        'own.placed' => %i[review_person], 'sitting.rooms_opened' => %i[review_staff], 'sitting.room_set' => %i[review_staff],
        'sitting.rooms_closed' => %i[review_staff],
        'sitting.addressed' => %i[review_rights], 'sitting.address_over' => %i[review_rights],
        'own.thread_begun' => %i[review_person], 'staff.thread_begun' => %i[review_staff]
      }.freeze

      # People whose streams and rights are looked at in one go.
      AT_ONCE = 20
      # Those that take streams from somebody.
      REVIEWS = %i[review review_person turn_out review_doors].freeze

      # @param gathering [Gathering]
      # @param lane [Lane]
      # @param welcomes [Welcomes]
      # @param door [LessonDoor]
      def initialize(gathering, lane:, welcomes:, door:)
        @gathering = gathering
        @hub = gathering.hub
        @lane = lane
        @welcomes = welcomes
        @door = door
        @followers = Deciding::Followers.new(TABLE, self)
        @waiting = {}
        @reviews = 0
      end

      # Has everything done that follows an entry. Not here and now: the state may hold more than this entry until
      # the batch is through.
      # @param entry [Core::Streams::Entry]
      def of(entry)
        @followers.after(entry).each { |name| schedule(name, entry) }
      end

      # @return [Boolean] whether somebody may read more than is theirs, because what they may read is yet to be brought in line
      def reviewing? = @reviews.positive?

      private

      def schedule(name, entry, tries: 1)
        key = [name, entry.stream]
        return if @waiting[key]

        @waiting[key] = true
        owe(name, 1)
        @lane.visit do |performer|
          @waiting.delete(key)
          @performer = performer
          again = nil
          @followers.call(name, entry, tries: tries) { |times| again = times }
          again ? later { [owe(name, -1), schedule(name, entry, tries: again)] } : owe(name, -1)
        end
      end

      # Counted until it is done, or has failed too often.
      def owe(name, change) = @reviews += REVIEWS.include?(name) ? change : 0

      def later(&)
        @hub.background do
          sleep Deciding::Followers::PAUSE
          yield
        end
      end

      def facts(entry)
        id = Core::Streams::StreamName.sitting_id(entry.stream)
        names = Core::Streams::StreamName
        [names.sitting(id), names.staff(id)].map { |name| @performer.copy(name).state }
      end

      def review(entry)
        sitting, = facts(entry)
        in_turns(@gathering.peers_in(sitting.id)) { |some| @welcomes.review(some, @performer) }
      end

      # With hundreds of people and boards it takes a while: others have their turn in between, and nothing new happens in the class, since
      # its lane waits.
      def in_turns(peers)
        peers.each_slice(AT_ONCE) do |some|
          yield(some.select { |peer| @gathering.here?(peer) })
          sleep 0
        end
      end

      def review_rights(entry)
        peers = @gathering.peers_in(Core::Streams::StreamName.sitting_id(entry.stream))
        in_turns(peers) { |some| some.each { |peer| @welcomes.tell_rights(peer, @performer) } }
      end

      # Whose place is another reads other streams.
      def review_person(entry)
        person = Core::Streams::StreamName.part(entry.stream)
        peers = @gathering.peers_in(Core::Streams::StreamName.sitting_id(entry.stream))
        @welcomes.review(peers.select { |peer| peer.person.id == person }, @performer)
      end

      # What all staff read.
      def review_staff(entry)
        peers = @gathering.peers_in(Core::Streams::StreamName.sitting_id(entry.stream))
        @welcomes.review(peers.select { |peer| peer.person.staff? }, @performer)
      end

      # Whoever is on stage from another server process is muted there.
      def mute(entry)
        names = Core::Streams::StreamName
        peers = @gathering.peers_in(names.sitting_id(entry.stream)).select { |peer| peer.standing&.place == names.part(entry.stream) }
        person = entry.body[:person]
        peers = peers.select { |peer| person ? peer.person.id == person : !peer.person.staff? }
        peers.each { |peer| @hub.stage.mute(peer, entry.body[:name]) }
      end

      def tell_timing(entry) = @welcomes.tell_timing(*facts(entry))

      # Who waits when the doors are open, comes in.
      def let_in(entry)
        sitting, staff = facts(entry)
        return unless sitting.open?

        staff.coming.each_slice(Core::Sittings::LetIn::MOST) do |people|
          @gathering.observe('class.let_in', sitting.id, Deciding::Perform::HOUSE, people: people)
        end
      end

      # Whoever was removed is told so, on every page they have open, and cut off.
      def turn_out(entry)
        sitting, staff = facts(entry)
        peers = @gathering.peers_in(sitting.id).select { |peer| staff.removed.key?(peer.person.id) }
        @welcomes.review(peers, @performer)
        peers.each { |peer| peer.dismiss(Core::Refusal.new(:removed, Core::Sittings::Join::REMOVED)) }
      end

      # Whoever still waits learns that nobody will let them in any more.
      def send_home(entry)
        @gathering.peers_in(Core::Streams::StreamName.sitting_id(entry.stream)).each do |peer|
          refusal = peer.welcomed && @welcomes.turned_away(peer, @performer)
          peer.dismiss(refusal) if refusal
        end
      end

      # Who was turned out is so by the lesson's door too, until they are let in again.
      def review_doors(_entry) = @door.review(@performer, staff: false)
    end
  end
end
