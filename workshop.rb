# frozen_string_literal: true

# What a worker process loads: `bundle exec que ./workshop.rb`. It makes slides of what people bring.
require_relative 'config/environment'

Zeitwerk::Loader.eager_load_all

Veranda::Workshop::Work.open(
  Veranda::Store::Archive.new(Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 6),
                              files: Veranda::Environment.files)
)
Veranda::Workshop::ForgetRecordings.keep_doing(Veranda::Workshop::Work.archive.db)
