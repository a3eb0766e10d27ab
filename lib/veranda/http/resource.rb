# frozen_string_literal: true

require 'sinatra/base'

module Veranda
  module Http
    # What all resources share: JSON in and out, who is asking, and how errors are told.
    class Resource < Sinatra::Base
      BODY_LIMIT = 256 * 1024

      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, true
      set :logging, false
      set :protection, false # {App} has it, once for all
      set :host_authorization, {}

      # Resources by code for which the answer is not 422.
      STATUS = { sign_in: 401, staff_only: 403, not_invited: 403, no_access: 403, link_revoked: 410, link_expired: 410,
                 link_unknown: 404, no_such_lesson: 404, no_such_class: 404, no_such_board: 404, no_such_recording: 404,
                 no_such_material: 404, no_such_slide: 404, no_such_upload: 404, wrong_offset: 409,
                 outdated: 409, too_fast: 429 }.freeze

      # @param archive [Store::Archive]
      # @param hub [Live::Hub]
      def initialize(archive:, hub:)
        super()
        @archive = archive
        @hub = hub
      end

      before { content_type :json }

      error Core::Refusal do
        refusal = env['sinatra.error']
        status STATUS.fetch(refusal.code, 422)
        json(code: refusal.code, says: refusal.says)
      end

      error Store::Lessons::Outdated do
        status 409
        json(code: :outdated,
             says: 'Someone else has changed this lesson. What you see now is theirs; yours was not saved over it.')
      end

      error do
        Console.error(self, 'A request failed', env['sinatra.error'])
        json(code: :fault, says: 'Something went wrong here. What you had is kept; try again in a moment.')
      end

      private

      attr_reader :archive, :hub

      def json(facts) = JSON.generate(facts)

      # @return [Hash] the body of the request, with string keys
      def input
        if request.content_length.to_i > BODY_LIMIT
          raise Core::Refusal.new(:too_large,
                                  'That is more than can be sent in one go.')
        end

        facts = JSON.parse(request.body&.read(BODY_LIMIT) || '')
        facts.is_a?(Hash) ? facts : raise(unreadable)
      rescue JSON::ParserError
        raise unreadable
      end

      def unreadable = Core::Refusal.new(:bad_input, 'This could not be read as JSON.')

      def visitor = @visitor ||= Visitor.new(session, archive)

      # @return [Hash] whoever is asking
      def someone! = visitor.person || raise(Core::Refusal.new(:sign_in, 'Please sign in first.'))

      # @return [Core::Person] the visitor in their role in a lesson
      def in_lesson!(lesson)
        someone!
        visitor.in_lesson(lesson) || raise(Core::Refusal.new(:not_invited,
                                                             'You are not invited to this class. Ask for its link.'))
      end

      # @raise [Core::Refusal] unless the visitor teaches the course
      def teaching!(course_id)
        role = archive.people.courses(someone![:id])[course_id]
        return if Core::Person::STAFF.include?(role)

        raise Core::Refusal.new(:staff_only, 'Only instructors and assistants do that.')
      end

      # @return [Core::Person]
      def staff!(lesson)
        person = in_lesson!(lesson)
        person.staff? ? person : raise(Core::Refusal.new(:staff_only, 'Only instructors and assistants do that.'))
      end

      def session = env['rack.session']
      def ms(time) = (time.to_f * 1000).round
    end
  end
end
