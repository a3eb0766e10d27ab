# frozen_string_literal: true

module Veranda
  module Http
    # Coming in by link, with no account. Looking at a link changes nothing, so that a preview
    # of it in a message does not use it up.
    class Doors < Resource
      KINDS = %w[personal class recording].freeze
      INVITED_ONLY = 'This class is for those who were invited. Sign in, or ask its instructor for a link of your own.'

      post '/api/links/look' do
        link = archive.links.open(input['token'], KINDS)
        person = archive.people.find(link[:person_id])
        json(kind: link[:kind], password: !link[:password].nil?, name: person && person[:name],
             lesson: link[:lesson_id] && lesson(link[:lesson_id]))
      end

      post '/api/links/enter' do
        facts = input
        link = archive.links.open(facts['token'], KINDS)
        json(to: send(:"enter_#{link[:kind]}", link, facts))
      end

      # The class of a lesson, made ready by whoever comes first.
      post '/api/lessons/:id/class' do |id|
        lesson = archive.lessons.fetch(id)
        person = in_lesson!(lesson)
        raise Core::Refusal.new(:called_off, 'This lesson was called off, and has no class.') if lesson[:cancelled] && !person.staff?

        json(sitting: Preparing::Classes.new(archive).ready(lesson, again: person.staff? && input['again'] == true))
      end

      # A class, with what becomes of its recording for whoever asks.
      get '/api/classes/:id' do |id|
        row = archive.sittings.fetch(id)
        lesson = archive.lessons.fetch(row[:lesson_id])
        person = in_lesson!(lesson)
        raise Core::Refusal.new(:no_such_class, 'There is no such class.') if row[:rehearsal] && !person.staff?

        json(id: id, lesson: lesson[:id], course: lesson[:course_id], title: lesson[:title], rehearsal: row[:rehearsal],
             recording: recording(row, lesson), shared: archive.recordings.shared?(id),
             private_in_transcripts: archive.course(lesson[:course_id])[:private_in_transcripts], stage: hub.stage.there?,
             **{ telephone: (hub.stage.by_telephone(archive)&.code(id) if person.staff?) }.compact)
      end

      # Who may be expected: the course's students, and guests who were let in before.
      get '/api/lessons/:id/expected' do |id|
        staff!(lesson = archive.lessons.fetch(id))
        students = archive.people.roster(lesson[:course_id]).reject { |person| Core::Person::STAFF.include?(person[:role]) }
        json(people: (students + archive.people.guests(id)).map { |person| person.slice(:id, :name) }.uniq)
      end

      # Who came into a lesson's classes by link, and the links that still let people in.
      get '/api/lessons/:id/guests' do |id|
        staff!(archive.lessons.fetch(id))
        guests(id)
      end

      delete '/api/lessons/:id/guests/:person' do |id, person|
        staff!(archive.lessons.fetch(id))
        archive.people.revoke(id, person_id: person)
        hub.review(id)
        guests(id)
      end

      # Takes a link back, and with it everyone who came by it.
      delete '/api/lessons/:id/links/:link' do |id, link|
        staff!(archive.lessons.fetch(id))
        known = archive.links.find(link)&.fetch(:lesson_id) == id
        raise Core::Refusal.new(:no_such_link, 'There is no such link to this lesson.') unless known

        archive.links.revoke(link)
        archive.people.revoke(id, link_id: link)
        hub.review(id)
        guests(id)
      end

      private

      def enter_personal(link, _facts)
        visitor.enter_as(link[:person_id])
        link[:lesson_id] ? "/lessons/#{link[:lesson_id]}/class" : '/'
      end

      # Someone who is signed in keeps who they are, and comes as a guest where they have no other part.
      def enter_class(link, facts)
        lesson = archive.lessons.fetch(link[:lesson_id])
        unless visitor.in_lesson(lesson)
          raise Core::Refusal.new(:invited_only, INVITED_ONLY) if lesson[:invited_only]

          known = visitor.person
          not_too_many!(link)
          id = known ? known[:id] : archive.people.add(Core::Name.clean(facts['name']))
          archive.people.admit(lesson[:id], id, link_id: link[:id])
          visitor.enter_as(id) unless known
        end
        "/lessons/#{lesson[:id]}/class"
      end

      # A school may come at once. A link that went astray lets no crowd of names in.
      GUESTS = Tries.new(from_one: [1, 600], from_all: [5, 1_500])
      private_constant :GUESTS

      def not_too_many!(link)
        return if GUESTS.take?(link[:id], request.ip)

        raise Core::Refusal.new(:too_fast, 'Very many came by this link just now. Wait a minute and try again.')
      end

      # @return [String] `none`, `ready` to be watched, or `waiting` for staff to share it
      def recording(row, lesson)
        kept = row[:status] == 'ended' && archive.recordings.find(row[:id])
        return 'none' unless kept && archive.recordings.recording(kept)

        reader.recording?(kept, lesson) ? 'ready' : 'waiting'
      end

      def guests(lesson_id)
        links = archive.links.of_lesson(lesson_id).map do |link|
          { id: link[:id], made_at: ms(link[:made_at]), expires_at: link[:expires_at] && ms(link[:expires_at]) }
        end
        json(guests: archive.people.guests(lesson_id), links: links)
      end

      def enter_recording(link, facts)
        if link[:accounts_only] && !visitor.person
          raise Core::Refusal.new(:sign_in,
                                  'This link is for people with an account here. Sign in, then open it again.')
        end

        knows!(link, facts['password']) if link[:password]
        visitor.may_watch(link)
        "/recordings/#{link[:sitting_id]}"
      end

      # @raise [Core::Refusal] `password_needed`, `too_fast`, `wrong_password`
      def knows!(link, password)
        if password.to_s.empty?
          raise Core::Refusal.new(:password_needed,
                                  'This recording asks for a password. Whoever sent you the link knows it.')
        end
        unless TRIES.take?(link[:id], visitor.person&.fetch(:id) || request.ip)
          raise Core::Refusal.new(:too_fast, 'That was tried too often. Wait a minute and try again.')
        end
        return if aside(:password_fits, hash: link[:password], password: password.to_s[0, 200])

        raise Core::Refusal.new(:wrong_password, 'That is not the password of this recording. Look at small and capital letters.')
      end

      # By one person or from one address, and from all of them together.
      TRIES = Tries.new(from_one: [0.1, 10], from_all: [0.5, 60])
      private_constant :TRIES

      def lesson(id)
        lesson = archive.lessons.fetch(id)
        staff = archive.people.roster(lesson[:course_id]).select { |person| person[:role] == 'instructor' }
        { title: lesson[:title], starts_at: ms(lesson[:starts_at]), minutes: lesson[:minutes],
          course: archive.course(lesson[:course_id])[:name], host: staff.first && staff.first[:name],
          known: !visitor.person.nil? }
      end
    end
  end
end
