# frozen_string_literal: true

require 'roda'

module Veranda
  module Http
    # Accounts with a password: signing in and out under `/auth`, with throttling and lockout.
    # Forged requests are turned away before they get here, see {App}.
    class Accounts < Roda
      # @param db [Sequel::Database]
      # @param secret [String]
      # @return [Class<Roda>] middleware
      def self.over(db, secret)
        Class.new(self) do
          plugin :middleware
          plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
          plugin :rodauth, json: :only, csrf: false, flash: false do
            enable :json, :login, :logout, :lockout, :argon2
            db db
            prefix '/auth'
            require_bcrypt? false
            use_database_authentication_functions? false
            account_password_hash_column :password_hash
            login_column :email
            login_param 'email'
            normalize_login { |login| login.strip.downcase }
            no_matching_login_message 'There is no account with this address and password.'
            invalid_password_message 'There is no account with this address and password.'
            max_invalid_logins 8
            account_lockouts_deadline_interval({ minutes: 15 })
            unlock_account_request_route nil
            unlock_account_route nil
            hmac_secret secret
            domain { request.host }
            already_logged_in { json_response[:says] = 'You are signed in.' }
          end
          route do |request|
            request.on('auth') { request.rodauth }
          end
        end
      end
    end
  end
end
