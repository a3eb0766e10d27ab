# frozen_string_literal: true

require 'que'
require 'zlib'

module Veranda
  module Store
    # States of streams as they were after one of their entries, so that nobody has to fold a whole log. They can be
    # thrown away at any time. They are written aside by a worker, from the log alone; kept as deflated JSON, because nothing
    # ever looks into one inside the database. Those of earlier versions are plain JSON and are read as well.
    class Snapshots
      # Entries after which a stream gets a fresh one; more when its state is large (a quarter of its parts).
      EVERY = 200
      # The job that keeps them, by name, since it lives above.
      JOB = 'Veranda::Workshop::KeepSnapshot'

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param upto [Integer, nil] ms since the epoch
      # @param last [Integer, nil] seq
      # @return [Array(Hash, Integer, Integer), nil] the latest before those limits, with seq and time of the last entry in it
      def latest(name, upto: nil, last: nil)
        rows = @db[:snapshots].where(stream: name)
        rows = rows.where { seq <= last } if last
        rows = rows.where { at <= upto } if upto
        row = rows.reverse(:seq).select(:seq, :at, :packed, Sequel.cast(:body, String).as(:body)).first or return
        text = row[:packed] ? Zlib.inflate(row[:packed]) : row[:body]
        [JSON.parse(text, symbolize_names: true), row[:seq], row[:at]]
      end

      # @param seq [Integer]
      # @param at [Integer] time of the entry `seq`
      # @param state [Object]
      def keep(name, seq, at, state)
        packed = Sequel.blob(Zlib.deflate(JSON.generate(state.to_h)))
        @db[:snapshots].insert_conflict.insert(stream: name, seq: seq, at: at, packed: packed)
      end

      # @param copy [#seq, #kept, #state] as {Deciding::StreamCopy}
      # @return [Integer, nil] the seq after which it is time for one
      def due(copy) = (copy.seq if copy.seq - copy.kept >= [EVERY, copy.state.size / 4].max)

      # Has one made aside.
      # @param seq [Integer] the entry after which it is to be
      def want(name, seq)
        Que.connection = @db
        Que.enqueue(name, seq, job_options: { job_class: JOB, priority: 50 })
      end
    end
  end
end
