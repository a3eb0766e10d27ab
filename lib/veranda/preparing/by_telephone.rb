# frozen_string_literal: true

require 'openssl'
require 'rack/utils'

module Veranda
  module Preparing
    # Coming into a class by telephone: by a code that is said or typed.
    class ByTelephone
      include Terse

      DIGITS = 8
      # In front of the id of whoever came so.
      PREFIX = 'telephone-'

      # @param archive [Store::Archive]
      # @param secret [String] of this installation
      def initialize(archive, secret)
        @archive = archive
        @secret = secret
      end

      # @return [Boolean] whether somebody came by telephone
      def self.came?(person_id) = person_id.start_with?(PREFIX)

      # @param secret [String, nil] as whoever puts a call through says it
      # @return [Boolean]
      def knows?(secret) = Rack::Utils.secure_compare(secret.to_s, @secret)

      # @param sitting_id [String]
      # @return [String] digits, which follow from the class and are written down nowhere
      def code(sitting_id)
        number = OpenSSL::HMAC.digest('SHA256', @secret, "telephone #{sitting_id}").unpack1('Q>') % (10**DIGITS)
        number.to_s.rjust(DIGITS, '0')
      end

      # Lets somebody in who has called.
      # @param code [String] as typed
      # @return [Hash] `{ sitting:, person: }`, ids
      # @raise [Core::Refusal] `no_such_code`, `invited_only`
      def call(code)
        sitting = @archive.sittings.going_on.find { |id| code(id) == code.to_s.delete('^0-9') } or raise no_such_code
        lesson = @archive.lessons.fetch(@archive.sittings.fetch(sitting)[:lesson_id])
        raise Core::Refusal.new(:invited_only, 'This class is for those who were invited.') if lesson[:invited_only]

        { sitting: sitting, person: seat_in(lesson[:id]) }
      end

      private

      def no_such_code = Core::Refusal.new(:no_such_code, 'No class that is going on has this code. Type it once more.')

      # Names tell callers apart in what is left of the class too, so that nobody is called what somebody was called who is gone.
      def seat_in(lesson)
        people = @archive.people
        Store::Turn.of(@archive.db, 'telephones', lesson) do
          number = people.came_to(lesson).count { |id| ByTelephone.came?(id) } + 1
          people.add("Telephone #{number}", id: "#{PREFIX}#{Store::Ids.call}").tap { |person| people.admit(lesson, person) }
        end
      end
    end
  end
end
