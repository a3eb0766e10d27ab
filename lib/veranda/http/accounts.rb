# frozen_string_literal: true

require 'roda'

module Veranda
  module Http
    # Accounts with a password: signing in and out under `/auth`, with throttling and lockout.
    # Forged requests are turned away before they get here, see {App}, and so is what is no form, see {Sane}.
    #
    # Every sign-in that fails gets the same answer after the same work, so that it tells nobody which addresses have an account.
    class Accounts < Roda
      NO_ACCOUNT = 'There is no account with this address and password. After several wrong tries it rests for a quarter of an hour.'
      # Of a password that nobody has.
      NOBODYS = '$argon2id$v=19$m=65536,t=2,p=1$c29tZXNhbHRzb21lc2FsdA$bm9ib2R5IGhhcyB0aGlzIHBhc3N3b3JkISEhISEhISE'

      # @param db [Sequel::Database]
      # @param secret [String]
      # @param aside [Aside::Pools] where passwords are checked, since that is made to take a while
      # @return [Class<Roda>] middleware
      def self.over(db, secret, aside)
        Class.new(self) do
          plugin :middleware
          plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
          plugin :rodauth, json: :only, csrf: false, flash: false do
            db db
            hmac_secret secret
            instance_exec(&PASSWORDS)
            instance_exec(&LOCKOUT)
            auth_class_eval do
              include Alike

              define_method(:password_hash_match?) { |hash, password| checks?(aside, hash, password) }
            end
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
        invalid_password_message NO_ACCOUNT
        already_logged_in { json_response[:says] = 'You are signed in.' }
        after_login { session['sid'] = Store::Ids.call }
        after_no_matching_login { refuse_like_any(try: true) }
      end

      # After so many wrong passwords an account rests for a while; nobody has to be written to.
      LOCKOUT = lambda do
        enable :lockout
        max_invalid_logins 8
        set_deadline_values? true
        account_lockouts_deadline_interval({ minutes: 15 })
        unlock_account_request_route nil
        unlock_account_route nil
      end

      # What makes failed sign-ins look alike.
      module Alike
        private

        def refuse_like_any(try: false)
          password_hash_match?(NOBODYS, param(password_param)) if try
          throw_error_reason(:invalid_password, login_error_status, password_param, NO_ACCOUNT)
        end

        # Rodauth calls this for an account that rests.
        def show_lockout_page = refuse_like_any(try: true)

        def checks?(aside, hash, password)
          aside.call("sign-in #{param(login_param)}", :password_fits, { hash: hash, password: password })
        rescue Core::Refusal
          false
        end
      end
    end
  end
end
