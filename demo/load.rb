# frozen_string_literal: true

require_relative '../config/environment'
%w[school drawing hands held_class lessons/reading_the_chart lessons/tide_height lessons/collision_rules
   lessons/still_to_come sign_ins].each { |part| require_relative part }

# The demo school, made by the same commands as everything else, with dates around now.
module Demo
  MINUTE = 60_000
  DAY = 86_400_000

  # @param archive [Veranda::Store::Archive] over an empty database
  # @param now [Integer] ms since the epoch
  # @param password [String] for the staff's accounts
  def self.build(archive, now:, password:)
    today = ((now + 14 * MINUTE) / (5 * MINUTE)) * 5 * MINUTE
    School.new(archive).build(password)
    ReadingTheChart.new(archive, starts_at: today - 14 * DAY).build
    TideHeight.new(archive, starts_at: today - 7 * DAY).build
    CollisionRules.new(archive, starts_at: today).build
    StillToCome.new(archive, today: today).build
  end
end

if $PROGRAM_NAME == __FILE__
  db = Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 2)
  Veranda::Store::Database.migrate(db)
  archive = Veranda::Store::Archive.new(db)
  sign_ins = Demo::SignIns.new(archive, Veranda::Environment.session_secret)
  db.transaction { Demo.build(archive, now: (Time.now.to_f * 1000).round, password: sign_ins.password) } if db[:people].empty?
  sign_ins.print_for(ARGV.first)
end
