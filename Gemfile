# frozen_string_literal: true

source 'https://rubygems.org'

# HTTP and WebSocket
gem 'async-websocket'
gem 'falcon'
gem 'rack-protection'
gem 'rack-session'
gem 'sinatra', '~> 4.0'

# Accounts
gem 'argon2'
gem 'mail'
gem 'rodauth'

# Files, background work, documents
gem 'hexapdf'
gem 'marcel'
gem 'nokogiri'
gem 'que'
gem 'rubyzip', '< 3'
gem 'shrine'

# Data
gem 'json', '< 3' # Que 2.4 asks for options that 3 has dropped
gem 'pg'
gem 'sequel'
gem 'sequel_pg', require: false

# Zones of time
gem 'tzinfo'
gem 'tzinfo-data' # what the machine itself knows of zones may be old, or nothing

# Input, loading, XML. dry-schema 1.14 does not load on Ruby 3.1.2.
gem 'dry-schema', '~> 1.13.4'
gem 'json_schemer' # answers, and recordings from elsewhere, against their shapes
gem 'rexml'
gem 'zeitwerk'

group :development, :test do
  gem 'axe-core-rspec'
  gem 'capybara'
  gem 'icalendar', require: false # reads what we write, so that not only we understand it
  gem 'rack-test'
  gem 'rrule', require: false # what our rules of recurrence are compared with; loads ActiveSupport, which changes half of Ruby
  gem 'rspec'
  gem 'rubocop', require: false
  gem 'rubocop-performance', require: false
  gem 'selenium-webdriver'
end
