# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Workshop::Carrying do
  # What hears of new errands says at its end that it will not listen any more, which fails where the database is away.
  it 'ends when it is told to while the database is away' do
    away = Class.new do
      def calls = @calls ||= []

      def listen(*)
        calls << 1
        raise ScriptError, 'It goes on.' if calls.length > 1

        begin
          sleep
        ensure
          raise Sequel::DatabaseError, 'The database is away'
        end
      end
    end.new
    threads = described_class.new(Struct.new(:db).new(away), -> { 0 }).start
    sleep 0.2
    threads.each(&:kill).each(&:join)
    expect(away.calls.length).to eq(1)
  end
end
