# frozen_string_literal: true

$LOAD_PATH.unshift(File.expand_path('../lib', __dir__))
require 'veranda'

module Veranda
  # What comes from outside: addresses, secrets and choices, all by environment variables.
  # `bin/start` and `bin/test` set them.
  module Environment
    module_function

    # @return [String] `postgres://…`
    def database_url = ENV.fetch('DATABASE_URL')

    # @return [String] folder for secrets and data of this machine
    def var = ENV.fetch('VERANDA_VAR', File.join(ROOT, 'var'))

    # @return [String] folder for materials and what is made of them
    def files = ENV.fetch('VERANDA_FILES', File.join(var, 'files'))

    # How the media server is reached, as whoever has started it wrote down.
    # @return [Hash, nil] nil where there is none
    def stage
      path = ENV.fetch('VERANDA_STAGE', '')
      return if path.empty?

      relays = { relays: ENV.fetch('TURN_URLS', '').split, relay_secret: ENV.fetch('TURN_SECRET', '') }
      { **JSON.parse(File.read(path), symbolize_names: true), telephone: telephone_secret, **relays }
    end

    # Sites whose videos are played for everyone, by what their addresses begin with: the stand-in that ships with the project.
    # @return [Array<String>]
    def video_sites = ENV.fetch('VIDEO_SITES', 'http://127.0.0.1/assets/stand-ins/').split

    # Proxies in front of the server, which may say for whom they ask. Of others it is not believed.
    # @return [Array<String>] addresses
    def proxies = ENV.fetch('PROXIES', '').split

    # @return [Boolean] whether the site is served by https
    def secure? = ENV['VERANDA_HTTPS'] == 'yes'

    # The secret that signs and encrypts sessions; made at first use.
    # @return [String]
    def session_secret = secret('session-secret')

    # The secret that the telephone, or its stand-in, knows; made at first use.
    # @return [String]
    def telephone_secret = secret('telephone-secret')

    # Several processes may want it at once when there is none yet: one of them makes it.
    def secret(name)
      path = File.join(var, name)
      make_secret(path) unless File.exist?(path)
      File.read(path)
    end
    private_class_method :secret

    def make_secret(path)
      require 'securerandom'
      mine = "#{path}.#{Process.pid}"
      File.write(mine, SecureRandom.hex(64), perm: 0o600)
      File.link(mine, path)
    rescue Errno::EEXIST
      # Another was quicker.
    ensure
      File.delete(mine) if mine && File.exist?(mine)
    end
    private_class_method :make_secret
  end
end
