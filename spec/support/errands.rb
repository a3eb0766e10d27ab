# frozen_string_literal: true

# Carries out errands in the process of the specs, which like a worker is none of the servers'; so that no worker need be started for them.
module CarriedErrands
  module_function

  def start
    archive = Veranda::Store::Archive.new(Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 4), files: Veranda::Environment.files)
    errands = Veranda::Preparing::Errands.new(archive, video_sites: Veranda::Environment.video_sites)
    @threads = Veranda::Workshop::Carrying.new(archive, errands).start
    @archive = archive
  end

  # Nobody carries them out while the block runs, unless it does it itself.
  def without
    @threads.each(&:kill).each(&:join)
    @archive.db.disconnect
    yield
  ensure
    start
  end
end
