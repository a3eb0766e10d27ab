# frozen_string_literal: true

module Veranda
  module Http
    # When lessons are: those of all of somebody's courses, who would be elsewhere at a time, what a series would come to, and putting one
    # lesson elsewhere. Series themselves are planned and changed live, see {Core::Courses::PlanSeries}.
    class Calendar < Resource
      # @param from, to [Integer] ms since the epoch
      get '/api/calendar' do
        json(aside(:calendar, person: someone![:id], from: number(params[:from]), to: number(params[:to])))
      end

      get '/api/courses/:id/clashes' do |id|
        teaching!(id)
        facts = Core::Contract.check(WHEN, { 'from' => number(params[:from]), 'minutes' => number(params[:minutes]),
                                             'lesson' => params[:lesson] }.compact)
        json(aside(:clashes, course: id, by: visitor.person[:id], lesson: facts[:lesson], now: hub.clock.call,
                             **facts.slice(:from, :minutes)))
      end

      post '/api/courses/:id/series/ahead' do |id|
        teaching!(id)
        part = Core::Contract.check(PART, input)
        json(aside(:series_ahead, course: id, by: visitor.person[:id], part: part, now: hub.clock.call))
      end

      # Puts a lesson elsewhere, or calls it off. `version` is the number of the last entry of its plan that was seen.
      patch '/api/lessons/:id' do |id|
        person = staff!(archive.lessons.fetch(id))
        facts = Core::Contract.check(MOVED, input)
        wished = facts.except(:version)
        Deciding::Perform.call(archive.log, 'plan.set', { seen: facts[:version], set: wished },
                               stream: Core::Streams::StreamName.plan(id), by: person)
        now = archive.lessons.fetch(id).then { |lesson| lesson.merge(starts_at: ms(lesson[:starts_at])) }
        raise moved_meanwhile unless wished.all? { |field, value| now[field] == value }

        json(now.slice(:id, :starts_at, :minutes, :cancelled, :version))
      end

      WHEN = Core::Contract.define do
        required(:from).value(:integer, :moment?)
        required(:minutes).value(:integer, gteq?: 5, lteq?: 600)
        optional(:lesson).value(Core::Types::ID)
      end
      MOVED = Core::Contract.define do
        required(:version).value(:integer, gteq?: 0)
        optional(:starts_at).value(:integer, :moment?)
        optional(:minutes).value(:integer, gteq?: 5, lteq?: 600)
        optional(:cancelled).value(:bool)
      end
      PART = Core::Contract.define do
        required(:start).value(:string, :wall_time?)
        required(:zone).value(:string, max_size?: 60)
        required(:minutes).value(:integer, gteq?: 5, lteq?: 600)
        required(:rule).value(:string, max_size?: Core::Courses::SeriesCommand::LONGEST)
        optional(:except).value(:array, max_size?: Core::Courses::SeriesCommand::MOST_EXCEPTIONS).each(:string, :wall_time?)
      end

      private

      def moved_meanwhile = Core::Refusal.new(:outdated, 'Somebody else has just put this lesson elsewhere. Look at it again.')
    end
  end
end
