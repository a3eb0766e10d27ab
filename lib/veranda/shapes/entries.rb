# frozen_string_literal: true

module Veranda
  module Shapes
    # What an entry says, by its kind. `planned` and `boards` say more on a staff stream than on the class's.
    module Entries
      include Language

      SIGNED = { author: STRING }.freeze
      NAMED = object({ people: list(STRING) })

      BOARD = {
        edited: object({ ops: list(shape(:Op)) },
                       may: { **SIGNED, way: one_of('clear', 'undo', 'redo', 'brought_back'), sure: list(NUMBER) }),
        page_added: object({ page: STRING, index: INTEGER }, may: { **SIGNED, ground: shape(:Ground) }),
        laid: object({ pages: list(shape(:PageRow)) }, may: SIGNED),
        taken_in: object({ pages: list(shape(:PageRow)), marks: list(shape(:Mark)), authors: list(shape(:Author)) }, may: SIGNED),
        prop_used: object({ id: STRING, action: STRING, seed: INTEGER, shows: shape(:Shows) }, may: SIGNED),
        locked: object({ on: BOOLEAN }, may: SIGNED),
        pointed: object({ page: STRING, path: list(NUMBER) })
      }.freeze

      SITTING = {
        planned: either(object(Views::PLAN), object(Views::STAFF_PLAN)),
        boards: object({ boards: either(list(shape(:SittingBoard)), list(shape(:StaffBoard))) }),
        opened: object({}),
        ended: object({}),
        joined: object({ people: list(object({ id: STRING, name: STRING, role: Views::ROLE })), place: STRING }),
        seated: object({ people: list(STRING), place: STRING }),
        out: NAMED,
        dropped: object({}),
        left: object({}),
        moved: object({ step: STRING }),
        extended: object({ step: STRING, minutes: INTEGER }),
        recording: object({ on: BOOLEAN }, may: { planned: BOOLEAN, rooms: BOOLEAN }),
        rooms_opened: either(object({ activity: STRING, name: STRING, step: maybe(STRING), free: BOOLEAN, named: BOOLEAN,
                                      rooms: list(shape(:Author)) }),
                             object({ activity: STRING, ask_until: maybe(MOMENT),
                                      rooms: list(object({ id: STRING, boards: list(shape(:SittingBoard)) })) })),
        room_set: object({ activity: STRING, room: STRING, name: STRING },
                         may: { boards: list(shape(:SittingBoard)), from: maybe(list(STRING)) }),
        rooms_closed: either(object({ activity: STRING, rooms: list(STRING) }),
                             object({ activity: STRING, rooms: list(object({ id: STRING, sat: list(STRING) })) })),
        handed_out: object({ board: STRING }),
        gathered_in: object({ board: STRING }),
        addressed: object({ name: STRING, voice: BOOLEAN, screen: BOOLEAN }),
        address_over: object({})
      }.freeze

      STAFF = {
        waits: object({ id: STRING, name: STRING, role: Views::ROLE }, may: { held: BOOLEAN, link_of: STRING }),
        removed: Views::PERSON,
        let_back: NAMED,
        doors_set: object({ each: BOOLEAN }),
        waits_no_more: NAMED,
        cued: object({ cue: STRING }),
        cue_refused: shape(:CueRefusal),
        thread_begun: shape(:ThreadRow),
        copies_given: object({ copies: list(shape(:CopyRow)) }),
        paired: shape(:Paired),
        rooms_given: object({ activity: STRING, rooms: list(object({ id: STRING, board: shape(:SittingBoard) })) }),
        room_shared: object({ activity: STRING, room: STRING, on: BOOLEAN }),
        dealt: object({ **Views::DEALT,
                        rooms: list(object({ id: STRING, name: STRING, people: list(STRING) }, may: { from: list(STRING) })) },
                      may: { cue: STRING, cued: INTEGER }),
        poll_staged: object({ id: STRING, question: shape(:Question), place: maybe(STRING), set: maybe(shape(:PollSet)),
                              step: maybe(STRING) }),
        poll_opened: object({ poll: STRING }),
        poll_put_away: object({ poll: STRING }),
        was_invited: object({ person: STRING, device: shape(:Device) }),
        answered_invitation: object({ person: STRING, device: shape(:Device), yes: BOOLEAN }),
        assigned: object({ activity: STRING, moves: list(object({ person: STRING, room: maybe(STRING) })) }),
        room_gone: object({ activity: STRING, room: STRING })
      }.freeze

      PLACE = {
        shown: object({ board: maybe(STRING), page: maybe(STRING) }),
        timer_set: Views::TIMER,
        timer_stopped: object({}),
        hand_raised: object({}),
        hand_lowered: object({ person: STRING }),
        ruled: object({ right: STRING, allow: BOOLEAN }, may: { person: STRING }),
        rules_set: object({ rules: Views::RULES }),
        floor_lent: object({ person: STRING, until: maybe(MOMENT) }, may: { with: list(STRING) }),
        floor_back: object({}),
        muted: object({ name: STRING }, may: { person: STRING }),
        screen_on: object({ name: STRING }),
        screen_off: object({}),
        screen_paused: object({ on: BOOLEAN }),
        made_large: object({ person: maybe(STRING) }),
        captioned: object({ id: STRING, words: STRING, lang: STRING, took: INTEGER }),
        clip_on: object({ material: STRING, version: INTEGER, kind: shape(:ClipKind), title: STRING, length: INTEGER },
                        may: { address: STRING }),
        clip_set: object({ playing: BOOLEAN, at: INTEGER, speed: NUMBER, loop: maybe(pair(INTEGER)) }),
        clip_off: object({}),
        spoke: object({ ms: INTEGER }),
        signalled: object({ signal: Views::SIGNAL }),
        signal_off: NAMED,
        signals_cleared: object({}),
        together: object({}),
        roaming: object({}),
        pairs_drawn: shape(:PairsHere),
        pairs_over: object({}),
        room_opened: object(Views::ROOM),
        room_given: object({ board: shape(:SittingBoard) }),
        room_timed: object({ ends_at: maybe(MOMENT), grace: INTEGER }),
        room_named: object({ name: STRING }),
        room_closed: object({}),
        called: object({ name: STRING }),
        call_answered: object({}),
        announced: object({ id: STRING, words: STRING, name: STRING }),
        exchange_set: object({}, may: { oversight: BOOLEAN, reactions: BOOLEAN }),
        welcomed: Views::WELCOME,
        begun: object({}),
        host_came: shape(:Author),
        host_went: object({ id: STRING })
      }.freeze

      EXCHANGE = {
        posted: object({ id: STRING, to: STRING, name: STRING, text: STRING }, may: { file: STRING }),
        deleted: object({ id: STRING }),
        reacted: object({ id: STRING, sign: maybe(Views::SIGN) }),
        pinned: object({ id: STRING, on: BOOLEAN }),
        parked: object({ id: STRING, parked: maybe(Views::PARKED) })
      }.freeze

      OWN = { placed: object({ place: STRING }), copy_given: shape(:OwnCopyRow), partnered: shape(:Partners),
              asked: shape(:Asked), room_kept: shape(:RoomKept), invited: shape(:Invitation),
              invitation_answered: object({}) }.freeze

      POLL = {
        poll_begun: object({ question: shape(:Question), place: maybe(STRING), set: maybe(shape(:PollSet)) }),
        round_opened: object({ round: INTEGER, from: MOMENT, ends_at: maybe(MOMENT), talk: BOOLEAN }),
        round_closed: object({ round: INTEGER }),
        round_cleared: object({ round: INTEGER, on: BOOLEAN }),
        poll_shown: shape(:PollShown),
        poll_sealed: object({})
      }.freeze

      QUESTIONS = {
        question_asked: object({ id: STRING, number: INTEGER, text: STRING, state: STRING, by: maybe(STRING), name: maybe(STRING) },
                               may: { at: MOMENT }),
        question_reviewed: object({ id: STRING, pass: BOOLEAN }),
        votes_counted: object({ votes: list(object({ id: STRING, count: INTEGER })) }),
        question_merged: object({ id: STRING, into: STRING }),
        answering: object({ id: maybe(STRING) }),
        question_answered: object({ id: STRING, words: maybe(STRING) }),
        questions_set: object({ review: BOOLEAN, nameless: BOOLEAN })
      }.freeze

      COURSE = { course_begun: object({ name: STRING }, may: Views::POLICIES),
                 course_set: object({}, may: { name: STRING, **Views::POLICIES }), series_set: shape(:Series) }.freeze

      PEOPLE = { enrolled: object({ people: list(shape(:CoursePerson)) }), role_given: object({ id: STRING, role: Views::COURSE_ROLE }),
                 taken_out: object({ id: STRING }) }.freeze

      PLAN_FIELDS = { title: STRING, starts_at: MOMENT, minutes: INTEGER, record_from: maybe(STRING), cancelled: BOOLEAN, held: BOOLEAN,
                      **Views::DOORS }.freeze
      PLAN = { plan_begun: object({ course_id: STRING, number: INTEGER, steps: list(shape(:Step)) }, may: { **PLAN_FIELDS, **Views::SLOT }),
               plan_set: object({}, may: { **PLAN_FIELDS, **Views::SLOT, steps: list(shape(:Step)) }),
               step_added: object({ step: object({ id: STRING }, may: Views::STEP_FIELDS), after: maybe(STRING) }),
               step_set: object({ id: STRING, set: object({}, may: Views::STEP_FIELDS) }),
               step_moved: object({ id: STRING, after: maybe(STRING) }), step_taken: object({ id: STRING }) }.freeze

      # @param kind [Symbol] of stream
      # @return [Hash{Symbol => Hash}] kinds of its entries
      def self.of(kind) = const_get(kind.to_s.upcase)

      KINDS = { **BOARD, **SITTING, **STAFF, **PLACE, **EXCHANGE, **OWN, **POLL, **QUESTIONS, **COURSE, **PEOPLE, **PLAN }.freeze

      FIELDS = { seq: INTEGER, at: MOMENT, by: STRING }.freeze

      # One shape for each kind, so that a kind tells what its body holds.
      # @param type [String, nil] how TypeScript says it shorter
      # @param more [Hash] further fields
      def self.every(type = nil, **more)
        shapes = KINDS.keys.map do |kind|
          object({ kind: exactly(kind.to_s), body: shape(:"#{camel(kind)}Body"), **FIELDS, **more }, may: { cmd: maybe(STRING) })
        end
        { tsType: type, **either(*shapes) }.compact
      end

      def self.camel(kind) = kind.to_s.split('_').map(&:capitalize).join

      ALL = {
        **KINDS.to_h { |kind, body| [:"#{camel(kind)}Body", body] },
        Entry: every.merge(description: "One fact in a stream. `at` is ms since the epoch, `by` a person's id.")
      }.freeze
    end
  end
end
