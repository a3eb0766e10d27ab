# frozen_string_literal: true

require_relative '../../config/environment'

env = Veranda::Environment
archive = Veranda::Store::Archive.new(Veranda::Store::Database.connect(env.database_url, connections: 2), files: env.files)
counts = Veranda::Store::Projections.new(archive).rebuild
puts "Made anew from the streams: #{counts.map { |kind, count| "#{kind} #{count}" }.join(', ')}."
