# frozen_string_literal: true

# What a worker process loads: `bundle exec que ./workshop.rb`. It makes slides of what people bring, and carries out what must follow
# entries.
require_relative 'config/environment'

Zeitwerk::Loader.eager_load_all

Veranda::Workshop::Work.open(
  Veranda::Store::Archive.new(Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 9),
                              files: Veranda::Environment.files)
)
Veranda::Workshop::ForgetRecordings.keep_doing(Veranda::Workshop::Work.archive.db)
Veranda::Workshop::Carrying.new(
  Veranda::Workshop::Work.archive,
  Veranda::Preparing::Errands.new(Veranda::Workshop::Work.archive, video_sites: Veranda::Environment.video_sites)
).start
