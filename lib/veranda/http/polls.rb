# frozen_string_literal: true

module Veranda
  module Http
    # Polls of a class: what they come to, and showing it. And the bank, in which polls are kept to be used again.
    #
    # No address names what somebody answered: that goes over the live line alone.
    class Polls < Resource
      # What whoever asks has answered to the polls that are open to them.
      get '/api/classes/:id/polls/mine' do |id|
        person = in_lesson!(lesson_of(id))
        json(answers: aside(:my_answers, sitting: id, person: person.id))
      end

      # How the last round comes along, for staff.
      get '/api/classes/:id/polls/:poll/live' do |id, poll|
        staff!(lesson_of(id))
        json(aside(:poll_live, sitting: id, poll: poll))
      end

      # What a round came to, or two side by side: for staff; and for whoever has answered, where a poll tells its results after that.
      get '/api/classes/:id/polls/:poll/results' do |id, poll|
        person = in_lesson!(lesson_of(id))
        task = person.staff? ? :poll_results : answered!(id, poll, person)
        json(aside(task, sitting: id, poll: poll, **rounds(params)))
      end

      # Who answered what in a round, where there are names.
      get '/api/classes/:id/polls/:poll/answers' do |id, poll|
        staff!(lesson_of(id))
        json(people: aside(:poll_answers, sitting: id, poll: poll, **rounds(params).slice(:round)))
      end

      SHOWN = Core::Contract.define do
        optional(:round).value(:integer, gteq?: 1, lteq?: Core::Polls::Poll::MOST_ROUNDS)
        optional(:since).value(:integer, gteq?: 1, lteq?: Core::Polls::Poll::MOST_ROUNDS)
        required(:tell).value(:bool)
      end

      # Shows it to all whom it is for.
      post '/api/classes/:id/polls/:poll/show' do |id, poll|
        person = staff!(lesson_of(id))
        aside(:show_poll, sitting: id, poll: poll, by: person.to_h.slice(:id, :name, :role), **Core::Contract.check(SHOWN, input))
        json({})
      end

      # How far each has come in a set.
      get '/api/classes/:id/sets/:set' do |id, set|
        staff!(lesson_of(id))
        json(aside(:set_progress, sitting: id, set: set))
      end

      # Who answered what, or how often what was answered; for spreadsheets.
      get '/api/classes/:id/polls/:poll.csv' do |id, poll|
        staff!(lesson_of(id))
        give_away(aside(:poll_table, sitting: id, poll: poll), 'poll.csv', 'text/csv; charset=utf-8')
      end

      # Polls of all courses that one teaches: those that are kept, and those of lessons.
      get '/api/polls' do
        json(polls: aside(:find_polls, courses: taught, words: params['q'].to_s[0, 100]))
      end

      KEPT = Core::Contract.define do
        required(:question).hash(Core::Polls::Question::CONTRACT)
        optional(:labels).value(:array, max_size?: 10).each(:string, max_size?: 40)
      end

      post '/api/courses/:id/polls' do |id|
        teaching!(id)
        facts = Core::Contract.check(KEPT, input)
        showable!(Core::Polls::Question.materials(facts[:question]))
        status 201
        json(archive.polls.add(id, facts[:question], facts[:labels] || [], visitor.person[:id]))
      end

      CHANGED = Core::Contract.define do
        optional(:question).hash(Core::Polls::Question::CONTRACT)
        optional(:labels).value(:array, max_size?: 10).each(:string, max_size?: 40)
        optional(:before).maybe(Core::Types::ID)
      end

      patch '/api/courses/:id/polls/:poll' do |id, poll|
        teaching!(id)
        facts = Core::Contract.check(CHANGED, input)
        shown = ->(question) { question ? Core::Polls::Question.materials(question) : [] }
        showable!(shown[facts[:question]] - shown[archive.polls.fetch(id, poll)[:question]])
        json(archive.polls.change(id, poll, facts))
      end

      delete '/api/courses/:id/polls/:poll' do |id, poll|
        teaching!(id)
        archive.polls.remove(id, poll)
        json({})
      end

      private

      def lesson_of(id) = archive.lessons.fetch(archive.sittings.fetch(id)[:lesson_id])
      def taught = archive.people.courses(someone![:id]).select { |_, role| Core::Person::STAFF.include?(role) }.keys

      def rounds(params)
        { round: number(params['round']), since: number(params['since']) }.select { |_, round| round.positive? }
      end

      # @return [Symbol] the task that answers them
      def answered!(id, poll, person)
        row = archive.log.state(Core::Streams::StreamName.poll(id, poll)).first
        raise Core::Refusal.new(:no_such_poll, 'There is no such poll in this class.') unless row.begun?

        fine = row.question[:results] == 'after' && aside(:my_answers, sitting: id, person: person.id).any? { |one| one[:poll] == poll }
        raise Core::Refusal.new(:no_access, 'What was answered is not open to you.') unless fine

        :poll_results_for_students
      end
    end
  end
end
