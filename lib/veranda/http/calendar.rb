# frozen_string_literal: true

module Veranda
  module Http
    # When lessons are: those of all of somebody's courses, who would be elsewhere at a time, series of lessons and what they would come
    # to, and putting one lesson elsewhere.
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
        facts = Core::Contract.check(PART, input)
        json(aside(:series_ahead, course: id, by: visitor.person[:id], part: facts.except(:series), series: facts[:series],
                                  now: hub.clock.call))
      end

      # Answers once its lessons are there; should this process die over it they come all the same.
      post '/api/courses/:id/series' do |id|
        series = Store::Ids.call
        perform('course.plan_series', id, { **input, 'series' => series })
        aside(:lay_series, course: id, series: series)
        status 201
        json(id: series)
      end

      patch '/api/courses/:id/series/:series' do |id, series|
        perform('course.change_series', id, { **input, 'series' => series })
        aside(:lay_series, course: id, series: series)
        json(series(id, series))
      end

      get '/api/courses/:id/series/:series' do |id, series|
        teaching!(id)
        json(series(id, series))
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
        # The one that is changed.
        optional(:series).value(Core::Types::ID)
        Core::Courses::SeriesCommand::PART.call(self, :required)
      end

      private

      def perform(wire_name, course, facts)
        Deciding::Perform.call(archive.log, wire_name, facts, stream: Core::Streams::StreamName.course(course),
                                                              by: member!(course))
      end

      def member!(course)
        archive.people.in_course(someone![:id], course) || raise(Core::Refusal.new(:staff_only, 'Only instructors and assistants do that.'))
      end

      def series(course, id)
        found = archive.log.state(Core::Streams::StreamName.course(course)).first.series[id]
        raise Core::Refusal.new(:no_such_series, 'There is no such series any more.') unless found

        aside(:series_facts, series: found.to_h).merge(id: id)
      end

      def moved_meanwhile = Core::Refusal.new(:outdated, 'Somebody else has just put this lesson elsewhere. Look at it again.')
    end
  end
end
