# frozen_string_literal: true

require 'json'

# Until version 2 a class had one stream that everyone in it read. This takes each such stream apart into what concerns
# the class, its staff, its main room, its waiting room and single people, entry by entry, with the same times, people and
# command ids. It knows the entries of that time and calls no code that may change later.
class SplitSittings
  STAFF = %w[instructor assistant].freeze
  BATCH = 500

  # @param db [Sequel::Database]
  def initialize(db)
    @db = db
  end

  def call
    @db[:streams].where(Sequel.like(:name, 'exchange/%')).select_map(:name).each { |name| rename(name, "#{name}.main") }
    @db[:streams].where(Sequel.like(:name, 'sitting/%')).select_map(:name).each { |name| split(name) }
  end

  private

  def rename(from, to)
    @db[:streams].insert(name: to, head: @db[:streams].where(name: from).get(:head))
    %i[entries snapshots].each { |table| @db[table].where(stream: from).update(stream: to) }
    @db[:streams].where(name: from).delete
  end

  def split(name)
    entries = @db[:entries].where(stream: name).order(:seq).select(:at, :actor, :kind, :command_id)
                           .select_append(Sequel.cast(:body, String).as(:body)).all
    parts = OneSitting.new(name.delete_prefix('sitting/'), entries).call
    %i[snapshots entries].each { |table| @db[table].where(stream: name).delete }
    parts.each do |stream, rows|
      @db[:streams].insert_conflict(target: :name, update: { head: rows.length }).insert(name: stream, head: rows.length)
      rows.each_slice(BATCH) { |slice| @db[:entries].multi_insert(slice) }
    end
  end

  # One class, followed as far as it takes to tell where each of its entries belongs.
  class OneSitting
    # @param id [String]
    # @param entries [Array<Hash>] in order
    def initialize(id, entries)
      @id = id
      @entries = entries
      @streams = [sitting, staff, main, waiting_room].to_h { |name| [name, []] }
      @waiting, @seats, @hands, @places = {}, {}, [], {}
      @plan = { steps: [], boards: [] }
    end

    # @return [Hash{String => Array<Hash>}] rows of `entries` by stream
    def call
      @entries.each do |entry|
        @entry = entry
        @named = []
        body = JSON.parse(entry[:body], symbolize_names: true)
        respond_to?(entry[:kind], true) ? send(entry[:kind], body) : add(sitting, entry[:kind], body)
      end
      @streams
    end

    private

    def sitting = "sitting/#{@id}"
    def staff = "staff/#{@id}"
    def main = "place/#{@id}.main"
    def waiting_room = "place/#{@id}.waiting"
    def actor = @entry[:actor]

    def add(stream, kind, body, by: actor)
      rows = (@streams[stream] ||= [])
      command_id = @named.include?(stream) ? nil : @entry[:command_id]
      @named << stream
      rows << { stream: stream, seq: rows.length + 1, at: @entry[:at], actor: by, kind: kind,
                body: Sequel.lit('?::jsonb', JSON.generate(body)), command_id: command_id }
    end

    def planned(body)
      @plan = body
      seen = body[:boards].select { |board| board[:audience] == 'everyone' }
      add(sitting, 'planned', body.slice(:id, :title, :course, :starts_at, :minutes, :rehearsal).merge(
                                places: [{ id: 'main', name: 'Main room' }],
                                steps: body[:steps].map { |step| step.slice(:id, :title, :minutes) },
                                boards: seen.map { |board| board.slice(:id, :name, :first_page) }
                              ))
      add(staff, 'planned', body.slice(:steps, :boards, :record_from))
      add(waiting_room, 'welcomed', body.slice(:title, :course, :starts_at, :minutes, :rehearsal))
    end

    def opened(body)
      @open = true
      add(sitting, 'opened', body)
      people = @waiting.values
      return if people.empty?

      add(sitting, 'joined', { people: people, place: 'main' })
      add(staff, 'waits_no_more', { people: @waiting.keys })
      people.each { |person| came(person) }
      @waiting = {}
    end

    def joined(body)
      person = { id: actor, name: body[:name], role: body[:role] }
      return wait(person) unless @open || @seats[actor] || STAFF.include?(person[:role])

      add(sitting, 'joined', { people: [person], place: 'main' })
      came(person)
      add(waiting_room, 'host_came', person.slice(:id, :name)) if STAFF.include?(person[:role])
    end

    def wait(person)
      add(staff, 'waits', person) unless @waiting[actor]
      @waiting[actor] = person
      place(actor, 'waiting')
    end

    def came(person)
      @seats[person[:id]] = person
      place(person[:id], 'main')
    end

    def place(person, place)
      add("own/#{@id}.#{person}", 'placed', { place: place }) unless @places[person] == place
      @places[person] = place
    end

    def dropped(body) = went('dropped', body)

    def left(body)
      went('left', body)
      hand_lowered({ person: actor }) if @hands.include?(actor)
    end

    def went(kind, body)
      if @waiting.delete(actor)
        add(staff, 'waits_no_more', { people: [actor] })
      elsif @seats[actor]
        add(sitting, kind, body)
        add(waiting_room, 'host_went', { id: actor }) if STAFF.include?(@seats[actor][:role])
      end
    end

    def moved(body)
      step = @plan[:steps].find { |candidate| candidate[:id] == body[:step] } || {}
      add(sitting, 'moved', body.slice(:step))
      add(sitting, 'recording', { on: true, planned: true }) if body[:record]
      add(main, 'shown', { board: step[:board], page: first_page(step[:board]) }) if step[:board]
      add(main, 'rules_set', { rules: step[:rules] }) if step[:rules]
    end

    def first_page(board)
      @plan[:boards].find { |candidate| candidate[:id] == board }&.fetch(:first_page, nil) || 'p1'
    end

    def shown(body) = add(main, 'shown', body)
    def ruled(body) = add(main, 'ruled', body)
    def timer_stopped(body) = add(main, 'timer_stopped', body)

    def hand_raised(body)
      @hands |= [actor]
      add(main, 'hand_raised', body)
    end

    def hand_lowered(body)
      @hands -= [body[:person]]
      add(main, 'hand_lowered', body)
    end

    def cued(body)
      add(staff, 'cued', body.slice(:cue))
      case body[:kind]
      when 'show' then add(main, 'shown', body.slice(:board, :page))
      when 'timer' then add(main, 'timer_set', body.slice(:ends_at, :label))
      when 'record' then add(sitting, 'recording', { on: true, planned: true })
      end
    end
  end
end
