# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # What one person sent from one moment on, until they sent something else: as many files as there are sounds and pictures in it.
      # Its name says all that must be known of it, so that nothing is lost with whoever had it recorded.
      #
      #   Take.new(sitting: '7', place: 'main', person: 'farah', since: 1_795_000_000_000).name #=> "7.main.farah.1795000000000"
      #   Take.of('7.main.farah.1795000000000-audio-0.mjr').person                              #=> "farah"
      Take = Struct.new(:sitting, :place, :person, :since, keyword_init: true) do
        # @param file [String] a file's name, with or without what follows the take's
        # @return [Take, nil] nil when it is none of ours
        def self.of(file)
          parts = self::PATTERN.match(file) or return
          new(**parts.named_captures.transform_keys(&:to_sym), since: Integer(parts[:since], 10))
        end

        # @return [String] with nothing in it that a path could be led astray by
        def name = [sitting, place, person, since].join('.')
      end
      Take::PATTERN = /\A(?<sitting>[\w-]{1,40})\.(?<place>[\w-]{1,40})\.(?<person>[\w-]{1,40})\.(?<since>\d{1,16})(?=-|\z)/
    end
  end
end
