# frozen_string_literal: true

require 'sinatra/base'

module Veranda
  module Http
    # What all resources share: JSON in and out, who is asking, and how errors are told.
    class Resource < Sinatra::Base
      BODY_LIMIT = 256 * 1024

      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :logging, false
      set :protection, false # {App} has it, once for all
      set :host_authorization, {}

      # Resources by code for which the answer is not 422.
      STATUS = { sign_in: 401, staff_only: 403, not_invited: 403, no_access: 403, link_revoked: 410, link_expired: 410,
                 link_unknown: 404, no_such_lesson: 404, no_such_class: 404, no_such_place: 404, no_such_activity: 404, no_such_room: 404,
                 no_such_board: 404, no_such_recording: 404, no_such_material: 404, no_such_slide: 404, no_such_upload: 404,
                 no_such_link: 404, no_such_track: 404, no_such_export: 404, no_such_poll: 404, no_such_question: 404, no_such_round: 404,
                 no_such_code: 404, no_such_series: 404,
                 wrong_offset: 409, outdated: 409, too_fast: 429, away: 503, no_room: 507 }.freeze

      # What is shown of what people made can do nothing in a page of ours.
      NOTHING_RUNS = "default-src 'none'; style-src 'unsafe-inline'; img-src data:"

      # @param archive [Store::Archive]
      # @param hub [Live::Hub]
      # @param aside [Aside::Pool]
      def initialize(archive:, hub:, aside:)
        super()
        @archive = archive
        @hub = hub
        @aside = aside
      end

      before { content_type :json }

      error Core::Refusal do
        refusal = env['sinatra.error']
        status STATUS.fetch(refusal.code, 422)
        json(code: refusal.code, says: refusal.says)
      end

      # Reading is tried again by {App}, which sees what was raised.
      error(*Store::Database::AWAY) do
        env['veranda.away'] = true
        Console.warn(self, 'The database is away', env['sinatra.error'])
        status STATUS[:away]
        json(code: :away, says: 'This could not be reached just now. What you had is kept; try again in a moment.')
      end

      error do
        Complaint.of(self, 'A request failed', env['sinatra.error'])
        if NoRoom.why?(env['sinatra.error'])
          status STATUS[:no_room]
          next json(code: :no_room, says: NoRoom::SAYS)
        end

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

        facts = Core::PlainText.parse(request.body&.read(BODY_LIMIT) || '')
        facts.is_a?(Hash) ? facts : raise(Core::Refusal.new(:bad_input, 'This could not be read as JSON.'))
      end

      # @param most [Integer] bytes
      # @return [String] a file that is the body of the request
      def brought(most)
        bytes = request.body&.read(most + 1).to_s
        bytes.bytesize > most ? raise(Core::Refusal.new(:too_big, 'This file is too big.')) : bytes
      end

      # A number that an address or a search names.
      # @return [Integer] 0 when it is none
      def number(text, most: 1 << 53) = text.to_s[/\A-?\d{1,16}\z/].to_i.clamp(-most, most)

      # Has something done by the process beside, for as long as the visitor waits for it.
      # @param name [Symbol] see {Aside::Tasks}
      # @return [Object]
      def aside(name, **arguments)
        who = visitor.person&.fetch(:id) || "at #{request.ip}"
        @aside.call(who, name, arguments, gone: Departure.of(env))
      end

      # Gives out a file that was made for this request alone.
      def give_away(path, name, type)
        content_type type
        headers 'Content-Disposition' => %(attachment; filename="#{name}"), 'Content-Security-Policy' => NOTHING_RUNS
        file = PassingFile.new(path)
        headers 'Content-Length' => file.size.to_s
        body file
      ensure
        # Gone already from the folder, the file lasts for as long as it is open.
        FileUtils.rm_f(path)
      end

      # Gives out a sound or clip of the shelf.
      def play(material, version)
        row = archive.materials.version(material, version)
        play_file(row[:original], row[:type])
      end

      # Gives out a sound or a moving picture, of which a player asks for parts (RFC 9110, 14.2).
      def play_file(file, type)
        headers 'content-security-policy' => NOTHING_RUNS, 'x-content-type-options' => 'nosniff', 'cache-control' => 'private, no-cache'
        # By no name: that of the file says whose it is, which may be hidden.
        send_file archive.files.path(file), type: type, disposition: 'inline', filename: nil
        headers 'content-disposition' => 'inline'
      end

      # What boards show in a recording takes a while to be looked through.
      def visitor
        @visitor ||= Visitor.new(session, archive, slides: lambda { |sitting, only|
          aside(:recorded_slides, **{ sitting: sitting, only: only }.compact)
        })
      end

      def reader = visitor.reader

      # @return [Hash] whoever is asking
      def someone! = visitor.person || raise(Core::Refusal.new(:sign_in, 'Please sign in first.'))

      # @return [Core::Person] the visitor in their role in a lesson
      def in_lesson!(lesson)
        someone!
        visitor.in_lesson(lesson) || raise(Core::Refusal.new(:not_invited,
                                                             'You are not invited to this class. Ask for its link.'))
      end

      # Nobody shows others what is not open to themselves.
      # @param materials [Array<String>] ids
      # @raise [Core::Refusal] `no_such_material`
      def showable!(materials)
        return if reader.slides?(materials.uniq)

        raise Core::Refusal.new(:no_such_material, 'There is no such material for you to show.')
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
