# frozen_string_literal: true

require 'roda'

module Veranda
  module Http
    # Accounts with a password: signing in and out under `/auth`, with throttling and lockout.
    # Forged requests are turned away before they get here, see {App}.
    class Accounts < Roda
      NO_ACCOUNT = 'There is no account with this address and password.'

      # @param db [Sequel::Database]
      # @param secret [String]
      # @return [Class<Roda>] middleware
      def self.over(db, secret)
        Class.new(self) do
          plugin :middleware
          plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
          plugin :rodauth, json: :only, csrf: false, flash: false do
            db db
            hmac_secret secret
            instance_exec(&PASSWORDS)
            instance_exec(&LOCKOUT)
          end
          route do |request|
            request.on('auth') { request.rodauth }
          end
        end
      end

      PASSWORDS = lambda do
        enable :json, :login, :logout, :argon2
        prefix '/auth'
        domain { request.host }
        require_bcrypt? false
        use_database_authentication_functions? false
        account_password_hash_column :password_hash
        login_column :email
        login_param 'email'
        normalize_login { |login| login.strip.downcase }
        no_matching_login_message NO_ACCOUNT
        invalid_password_message NO_ACCOUNT
        already_logged_in { json_response[:says] = 'You are signed in.' }
      end

      # After so many wrong passwords an account rests for a while; nobody has to be written to.
      LOCKOUT = lambda do
        enable :lockout
        max_invalid_logins 8
        account_lockouts_deadline_interval({ minutes: 15 })
        unlock_account_request_route nil
        unlock_account_route nil
      end
    end
  end
end
