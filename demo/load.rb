# frozen_string_literal: true

require_relative '../config/environment'
Zeitwerk::Loader.eager_load_all
%w[school drawing hands held_class lessons/reading_the_chart lessons/tide_height lessons/collision_rules
   lessons/still_to_come materials/shelf sign_ins].each { |part| require_relative part }

# The demo school, made by the same commands as everything else, with dates around now.
module Demo
  MINUTE = 60_000
  DAY = 86_400_000

  STILL_TO_COME = %w[rules passage night fronts].freeze

  # When the first class of the day begins: in a quarter of an hour or so.
  def self.today(now) = ((now + 14 * MINUTE) / (5 * MINUTE)) * 5 * MINUTE

  # Moves what is still to come, so that a class is about to begin whenever Veranda is started.
  # A demo in which that class was opened already stays as it is.
  def self.freshen(archive, now:)
    rules = archive.db[:lessons].first(id: 'rules') or return
    opened = archive.sittings.of_lesson('rules').any? { |row| archive.sittings.state(row[:id]).status != 'planned' }
    return if opened || rules[:starts_at] > Time.at(now / 1000)

    later = today(now) / 1000 - rules[:starts_at].to_i
    archive.db[:lessons].where(id: STILL_TO_COME).select_map(%i[id starts_at]).each { |id, at| archive.lessons.lay(id, starts_at: at + later) }
  end

  # @param archive [Veranda::Store::Archive] over an empty database
  # @param now [Integer] ms since the epoch
  # @param password [String] for the staff's accounts
  # @param address [String] `http://…`
  def self.build(archive, now:, password:, address:)
    today = today(now)
    School.new(archive).build(password)
    ReadingTheChart.new(archive, starts_at: today - 14 * DAY).build
    TideHeight.new(archive, starts_at: today - 7 * DAY).build
    shelf = Shelf.new(archive, address)
    materials = shelf.build
    CollisionRules.new(archive, starts_at: today, shelf: shelf, materials: materials).build
    StillToCome.new(archive, today: today, shelf: shelf, materials: materials).build
  end
end

if $PROGRAM_NAME == __FILE__
  db = Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 2)
  Veranda::Store::Database.migrate(db)
  archive = Veranda::Store::Archive.new(db, files: Veranda::Environment.files)
  sign_ins = Demo::SignIns.new(archive, Veranda::Environment.session_secret)
  now = (Time.now.to_f * 1000).round
  if db[:people].empty?
    db.transaction { Demo.build(archive, now: now, password: sign_ins.password, address: ARGV.first) }
  else
    Demo.freshen(archive, now: now)
  end
  sign_ins.print_for(ARGV.first)
end
