# frozen_string_literal: true

require 'digest'
require 'etc'
require 'fileutils'
require 'json'
require 'securerandom'
require 'socket'

module Setup
  module Stage
    # What the media server is told: nothing of what its package ships is used. Only its one plugin for rooms and its WebSocket on
    # loopback are on; secrets are new at every start.
    class Configuration
      USER = 'veranda-stage'
      KEPT = { 'plugins' => 'libjanus_videoroom.so', 'transports' => 'libjanus_websockets.so' }.freeze
      PORTS = '40000-40999'
      # Of making a user.
      TRIES = 25

      attr_reader :folder, :user

      # @param folder [String] of this machine's, see VERANDA_VAR
      # @param address [String] where sound and picture go
      def initialize(folder, address)
        @folder = folder
        @address = address
        @user = own_user
        @port, @admin_port = Array.new(2) { Addrinfo.tcp('127.0.0.1', 0).bind { |socket| socket.local_address.ip_port } }
        @secrets = %i[api admin key rooms].to_h { |name| [name, SecureRandom.hex(24)] }
      end

      # Only its user and we may read what is written.
      def write
        FileUtils.mkdir_p([folder, home], mode: 0o711)
        FileUtils.mkdir_p([path('conf'), path('empty'), path('tracks')], mode: 0o700)
        { 'janus.jcfg' => main, 'janus.transport.websockets.jcfg' => transport,
          'janus.plugin.videoroom.jcfg' => rooms }.each do |name, text|
          File.write(path('conf', name), text, perm: 0o600)
        end
        FileUtils.chown_R(user, nil, %w[conf empty tracks].map { |part| path(part) }) if user
        File.write(File.join(folder, 'stage.json'), JSON.generate(reach), perm: 0o600)
      end

      # @return [Hash] how Veranda reaches it
      def reach
        { url: "ws://127.0.0.1:#{@port}", secret: @secrets[:api], key: @secrets[:key], rooms: @secrets[:rooms], address: @address,
          tracks: path('tracks') }
      end

      # @return [Array<String>] as which user, with nothing of our environment
      def command
        as = user ? ['setpriv', "--reuid=#{user}", "--regid=#{Etc.getpwnam(user).gid}", '--clear-groups'] : []
        [*as, 'env', '-i', 'PATH=/usr/bin:/bin', 'janus', '-F', path('conf'), '-C', path('conf', 'janus.jcfg')]
      end

      private

      def path(*parts) = File.join(home, *parts)

      # Its user may not be let into the checkout; then what is its own lies beside it, as with the database.
      def home = @home ||= let_in? ? folder : "/var/lib/veranda-#{Digest::SHA256.hexdigest(folder)[0, 12]}/stage"

      def let_in?
        return true unless user

        FileUtils.mkdir_p(folder, mode: 0o711)
        system('setpriv', "--reuid=#{user}", '--clear-groups', 'test', '-x', folder)
      end

      # Root hands it to a user that can do nothing else; others run it themselves.
      def own_user
        return unless Process.uid.zero?

        TRIES.times do
          return USER if known? || system('useradd', '--system', '--no-create-home', '--shell', '/usr/sbin/nologin', USER)

          # Another may be making it at this moment.
          sleep 0.2
        end
        abort "The user #{USER} could not be made."
      end

      def known?
        !Etc.getpwnam(USER).nil?
      rescue ArgumentError
        false
      end

      def library(kind) = Dir["/usr/lib/*/janus/#{kind}"].first || abort('The package janus is not installed.')

      def disabled(kind)
        Dir.children(library(kind)).grep(/\.so\z/).reject { |name| name == KEPT.fetch(kind) }.sort.join(',')
      end

      def main
        <<~TEXT
          general: {
            configs_folder = "#{path('conf')}"
            plugins_folder = "#{library('plugins')}"
            transports_folder = "#{library('transports')}"
            events_folder = "#{path('empty')}"
            loggers_folder = "#{path('empty')}"
            log_to_stdout = true
            debug_level = 3
            debug_timestamps = true
            debug_colors = false
            api_secret = "#{@secrets[:api]}"
            admin_secret = "#{@secrets[:admin]}"
            session_timeout = 20
            reclaim_session_timeout = 30
            recordings_tmp_ext = "tmp"
            opaqueid_in_api = true
            hide_dependencies = true
            event_loops = #{Etc.nprocessors}
            interface = "#{@address}"
            protected_folders = ["/etc", "/usr"]
          }
          media: {
            rtp_port_range = "#{PORTS}"
            no_media_timer = 1
            twcc_period = 100
          }
          nat: {
            nice_debug = false
            ice_enforce_list = "#{@address}"
            ice_keepalive_conncheck = true
          }
          plugins: {
            disable = "#{disabled('plugins')}"
          }
          transports: {
            disable = "#{disabled('transports')}"
          }
          events: {
            broadcast = false
          }
        TEXT
      end

      def transport
        <<~TEXT
          general: {
            json = "compact"
            events = false
            ws = true
            ws_port = #{@port}
            ws_ip = "127.0.0.1"
            ws_acl = "127.0.0.1"
            wss = false
            pingpong_trigger = 5
            pingpong_timeout = 5
            ws_logging = "err,warn"
          }
          admin: {
            admin_ws = true
            admin_ws_port = #{@admin_port}
            admin_ws_ip = "127.0.0.1"
            admin_ws_acl = "127.0.0.1"
            admin_wss = false
          }
        TEXT
      end

      def rooms
        <<~TEXT
          general: {
            admin_key = "#{@secrets[:key]}"
            lock_rtp_forward = true
            events = false
            string_ids = true
          }
        TEXT
      end
    end
  end
end
