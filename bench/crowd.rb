# frozen_string_literal: true

require 'open3'
require 'rack/session'

module Bench
  # Many students of one class, driven by `crowd.cjs`: a Node process, so that the load costs
  # less than the server under it.
  class Crowd
    NODE_PATH = File.join(Veranda::ROOT, 'web/node_modules')

    def initialize(archive)
      @archive = archive
    end

    # @param count [Integer]
    # @param lesson [String]
    # @return [Array<String>] a session cookie for each of so many new students
    def cookies(count, lesson)
      Array.new(count) do |i|
        person = @archive.people.add("Student #{i + 1}")
        @archive.people.admit(lesson, person)
        cookie(person)
      end
    end

    # @return [String] a session cookie, as the server makes it
    def cookie(person)
      app = Rack::Session::Cookie.new(->(env) { env['rack.session'].update('person_id' => person, 'sid' => Veranda::Store::Ids.call) && [200, {}, []] },
                                      key: 'veranda', secrets: Veranda::Environment.session_secret)
      headers = app.call(Rack::MockRequest.env_for('/'))[1]
      Array(headers['set-cookie']).first.split(';').first
    end

    # @param script [String] what drives them
    # @param plan [Hash] see there
    # @return [Hash] figures
    def run(script: 'crowd.cjs', **plan)
      out, err, status = Open3.capture3({ 'NODE_PATH' => NODE_PATH }, 'node', File.join(__dir__, script),
                                        stdin_data: JSON.generate(plan))
      raise "The crowd failed: #{err}" unless status.success?

      JSON.parse(out, symbolize_names: true)
    end
  end
end
