# frozen_string_literal: true

module Veranda
  module Shapes
    # What readers see of a stream, by its kind (`view` in a welcome).
    module Views
      include Language

      # What a plan tells everyone, and what it tells the staff.
      PLAN = { id: STRING, title: STRING, course: STRING, starts_at: MOMENT, minutes: INTEGER, steps: list(shape(:SittingStep)),
               boards: list(shape(:SittingBoard)), places: list(object({ id: STRING, name: STRING }, may: { activity: STRING })),
               rehearsal: BOOLEAN }.freeze
      STAFF_PLAN = { steps: list(shape(:StaffStep)), boards: list(shape(:StaffBoard)), record_from: maybe(STRING) }.freeze

      ROLE = one_of(Core::Person::ROLES)
      PERSON = object({ id: STRING, name: STRING, role: ROLE })
      RULES = by_name(BOOLEAN)
      SHOWN = object({ board: STRING, page: STRING })
      TIMER = object({ ends_at: MOMENT }, may: { label: STRING, until_done: BOOLEAN })
      COURSE_ROLE = one_of(Core::Courses::People::ROLES)
      POLICIES = { private_in_transcripts: BOOLEAN, keep_recordings: maybe(INTEGER), add_missed: BOOLEAN, language: STRING,
                   zone: STRING }.freeze
      PART = { start: STRING, zone: STRING, minutes: INTEGER, rule: STRING, except: list(STRING), from: maybe(STRING) }.freeze
      # Which lesson of a series one is, if of any.
      SLOT = { series: maybe(STRING),
               slot: maybe(object({ of: STRING, at: MOMENT, minutes: INTEGER, title: STRING }, may: { dropped: BOOLEAN })) }.freeze
      SIGNAL = one_of(Core::Sittings::Signals::KINDS)
      FLOOR = object({ person: STRING, with: list(STRING), since: MOMENT, until: maybe(MOMENT) })
      WELCOME = object({ title: STRING, course: STRING, starts_at: MOMENT, minutes: INTEGER, rehearsal: BOOLEAN },
                       may: { cancelled: BOOLEAN, words: STRING, ink: one_of(Core::Boards::Inks::NAMES),
                              picture: object({ material: STRING, version: INTEGER }) })

      # An activity as it was dealt, and what a room has in it while it is open.
      DEALT = { id: STRING, name: STRING, step: maybe(STRING), plan: shape(:GroupPlan), seed: INTEGER, again: INTEGER, bound: INTEGER,
                says: list(STRING) }.freeze
      ROOM = { activity: STRING, name: STRING, title: STRING, boards: list(shape(:SittingBoard)), words: STRING, ends_at: maybe(MOMENT),
               grace: INTEGER, warnings: list(INTEGER), free: BOOLEAN, read: BOOLEAN, quiet: BOOLEAN, recorded: BOOLEAN,
               leaders: list(STRING) }.freeze

      LEADS = one_of(Core::Lessons::PlanStep::LEADS)
      STEP_FIELDS = { title: STRING, minutes: INTEGER, shortest: INTEGER, notes: STRING, leads: LEADS, board: maybe(STRING),
                      material: maybe(STRING), rules: maybe(RULES), cues: list(shape(:Cue)) }.freeze
      # What those find who come to the doors of a lesson.
      DOORS = { welcome: STRING, welcome_ink: maybe(STRING), welcome_picture: maybe(STRING), invited_only: BOOLEAN }.freeze
      SIGN = one_of(Core::Exchange::React::SIGNS)
      PARKED = one_of(Core::Exchange::Park::STATES)

      ALL = {
        **Polls::ALL,
        BoardView: object({ pages: list(STRING), page_facts: list(shape(:PageRow)), marks: list(shape(:Mark)),
                            authors: list(shape(:Author)), undo: list(shape(:UndoCount)), top: INTEGER,
                            locked: BOOLEAN }),

        UndoCount: object({ person: STRING, done: INTEGER, undone: INTEGER }, about: 'How many steps somebody can take back and do again.'),

        SittingView: object({ **PLAN, status: one_of('planned', 'open', 'ended'), opened_at: maybe(MOMENT), ended_at: maybe(MOMENT),
                                      moves: list(object({ step: STRING, at: MOMENT })), handed: list(STRING),
                                      activities: list(shape(:ActivityRow)), address: maybe(shape(:Address)),
                                      stretches: list(object({ from: MOMENT, to: maybe(MOMENT) })), seats: list(shape(:Seat)) },
                            about: 'What concerns the whole class and everyone who was let in may know; `handed` are boards of which ' \
                                   'everyone has a copy of their own.'),
        Address: object({ person: STRING, name: STRING, voice: BOOLEAN, screen: BOOLEAN, since: MOMENT },
                        about: 'Who is heard, or shows a screen, in every room.'),
        ActivityRow: object({ id: STRING, name: STRING, step: maybe(STRING), free: BOOLEAN, named: BOOLEAN, rooms: list(shape(:Author)),
                              opened_at: MOMENT, closed_at: maybe(MOMENT) },
                            about: 'One holding of a group plan, as everyone may know it.'),
        Seat: object({ id: STRING, name: STRING, role: ROLE, place: STRING, since: MOMENT,
                       presence: one_of('here', 'dropped', 'left', 'out') },
                     about: "One person's place in a class."),
        SittingStep: object({ id: STRING, title: STRING, minutes: INTEGER },
                            may: { leads: LEADS },
                            about: 'A step as everyone may know it; what else is planned for it only staff know.'),
        SittingBoard: object({ id: STRING, name: STRING }, may: { first_page: STRING }),

        StaffView: object({ **STAFF_PLAN, cued: list(STRING), refused: list(shape(:CueRefusal)),
                                          waiting: list(shape(:Waiting)), removed: list(PERSON), each: BOOLEAN,
                                          threads: list(shape(:ThreadRow)), copies: list(shape(:CopyRow)),
                                          paired: maybe(shape(:Paired)), invited: list(shape(:Invited)), activities: list(shape(:Activity)),
                                          polls: list(shape(:StagedPoll)) },
                          about: 'What only the staff of a class know.'),
        CueRefusal: object({ cue: STRING, says: STRING }, about: 'Why what a cue was to do last could not be done.'),
        GroupPlan: Commands.of(Core::Rooms::GroupPlan::CONTRACT).merge(description: 'How people are to be split.'),
        Activity: object({ **DEALT, state: one_of('dealt', 'open', 'closed'), rooms: list(shape(:Room)), ask_until: maybe(MOMENT),
                                    out: list(STRING) },
                         may: { cue: STRING, cued: INTEGER },
                         about: 'An activity as staff know it; `out` are those who were put into no room.'),
        Room: object({ id: STRING, name: STRING, people: list(STRING), boards: list(shape(:SittingBoard)), sat: list(STRING),
                       open: BOOLEAN },
                     may: { from: maybe(list(STRING)), shared: BOOLEAN },
                     about: '`people` are assigned to it, `sat` those who were there.'),
        CopyRow: object({ board: STRING, of: STRING, person: STRING },
                        may: { with: list(STRING) },
                        about: "Somebody's own copy of a board that was handed out; or that of several, `with` the first."),
        PairRow: object({ people: list(STRING) }, about: 'Whoever goes first comes first.'),
        Partners: object({ round: STRING, people: list(shape(:Author)) }, about: 'Who was paired with somebody, and they themselves.'),
        Paired: object({ round: STRING, seed: INTEGER, pairs: list(shape(:PairRow)) }, may: { board: STRING }),
        StaffStep: object({ id: STRING, title: STRING, minutes: INTEGER, shortest: INTEGER, board: maybe(STRING) },
                          may: { notes: STRING, leads: LEADS, material: maybe(STRING), rules: maybe(RULES), cues: list(shape(:Cue)) },
                          about: 'A step with what only staff know of it.'),
        StaffBoard: object({ id: STRING, name: STRING, audience: one_of(Core::Lessons::Audience::KINDS) },
                           may: { people: list(STRING), owner: STRING, outside: one_of('closed', 'read', 'work'), first_page: STRING }),
        Cue: Commands.of(Core::Lessons::Cues::CONTRACT).merge(description: 'Something prepared on a step, to be done by one key in class.'),
        Waiting: object({ id: STRING, name: STRING, role: ROLE, since: MOMENT },
                        may: { held: BOOLEAN, link_of: STRING },
                        about: 'Somebody at the doors; `held` until staff let them in; `link_of` the guest who came by the same link ' \
                               'before and was removed.'),

        PlaceView: object({ shown: maybe(SHOWN), timer: maybe(TIMER), hands: list(STRING), floor: maybe(FLOOR), leader: maybe(STRING),
                            pairs: maybe(shape(:PairsHere)), room: maybe(shape(:RoomHere)), call: maybe(shape(:RoomCall)),
                            announced: list(shape(:Announcement)), screen: maybe(shape(:Screen)),
                            clip: maybe(shape(:Clip)), large: maybe(STRING),
                            captions: list(shape(:CaptionLine)),
                            signals: list(shape(:Signalled)), rules: shape(:HouseRules), welcome: maybe(WELCOME),
                            hosts: list(shape(:Author)), begun: BOOLEAN, oversight: BOOLEAN, reactions: BOOLEAN },
                          about: 'What is the same for everyone in one place of a class; `hands` in order of asking. The waiting room ' \
                                 'has `welcome` and its `hosts` instead of the rest.'),
        RoomHere: object({ **ROOM, opened_at: MOMENT, closed: BOOLEAN }, about: 'What a breakout room has.'),
        RoomCall: object({ person: STRING, name: STRING, since: MOMENT }, about: 'A room asks for a visit.'),
        Announcement: object({ id: STRING, words: STRING, name: STRING, at: MOMENT }),
        Device: one_of(*Core::Sittings::Invitation::DEVICES.keys),
        Invitation: object({ device: shape(:Device), name: STRING, place: STRING }, about: 'To switch a device on; `name` of who asks.'),
        Invited: object({ person: STRING, device: shape(:Device), yes: maybe(BOOLEAN) },
                        about: 'Who was invited to switch a device on, and what they answered.'),
        Screen: object({ person: STRING, name: STRING, since: MOMENT, paused: BOOLEAN, front: BOOLEAN },
                       about: 'A screen that is shared; `front` while no board was shown since.'),
        CaptionLine: object({ id: STRING, words: STRING, lang: STRING, by: STRING, at: MOMENT }),
        ClipKind: one_of(*Core::Sittings::Clip::KINDS),
        Clip: object({ material: STRING, version: INTEGER, kind: shape(:ClipKind), title: STRING, length: INTEGER, playing: BOOLEAN,
                       at: INTEGER, since: MOMENT, speed: NUMBER, loop: maybe(pair(INTEGER)), front: BOOLEAN },
                     may: { address: STRING },
                     about: 'What plays for everybody in a place: at `since` it stood at `at`, in ms.'),
        Asked: object({ room: STRING, name: STRING, activity: STRING, until: MOMENT }, about: 'To which room somebody is asked to go.'),
        RoomKept: object({ activity: STRING, title: STRING, room: STRING, name: STRING, boards: list(shape(:SittingBoard)) },
                         about: 'A room in which somebody sat.'),
        PairsHere: object({ round: STRING, size: INTEGER, pairs: INTEGER },
                          about: 'While people work in pairs: how many there are.'),
        Signalled: object({ person: STRING, signal: SIGNAL, at: MOMENT }, about: 'What somebody tells with one tap.'),
        HouseRules: object({ for_all: RULES, exceptions: list(object({ right: STRING, person: STRING, allow: BOOLEAN })),
                             by_step: list(STRING) },
                           about: '`by_step` are those whose answer for all a step has brought.'),

        ExchangeView: object({ posts: list(shape(:Post)), pinned: list(STRING) }),
        ThreadView: object({ posts: list(shape(:Post)), pinned: list(STRING), people: list(shape(:Author)), staff: BOOLEAN }),
        ThreadRow: object({ id: STRING, people: list(shape(:Author)), staff: BOOLEAN },
                          about: 'A thread, as those who are in it know of it; with `staff` all staff of the class are.'),
        Reaction: object({ person: STRING, sign: SIGN }),
        Post: object({ id: STRING, by: STRING, name: STRING, to: STRING, at: MOMENT },
                     may: { text: STRING, file: STRING, deleted_by: STRING, reactions: list(shape(:Reaction)), parked: PARKED },
                     about: 'Its text is gone once somebody deleted it.'),

        OwnCopyRow: object({ board: STRING, of: STRING }, may: { with: list(STRING) }),
        OwnView: object({ place: maybe(STRING), threads: list(shape(:ThreadRow)), boards: list(shape(:SittingBoard)),
                          copies: list(shape(:OwnCopyRow)), pair: maybe(shape(:Partners)), asked: maybe(shape(:Asked)),
                          invitation: maybe(shape(:Invitation)),
                          rooms: list(shape(:RoomKept)) },
                        about: 'What concerns one person in a class and nobody else.'),

        PlanView: object({ course_id: maybe(STRING), number: maybe(INTEGER), title: maybe(STRING), starts_at: MOMENT, minutes: INTEGER,
                           steps: list(shape(:Step)), record_from: maybe(STRING), cancelled: BOOLEAN, held: BOOLEAN,
                           **SLOT, **DOORS },
                         about: 'What is to be done in a lesson, and when, as those who teach it know it.'),
        SeriesPart: object(PART,
                           about: 'By which rule (RFC 5545) lessons recur; times as the clock on the wall of the zone shows them.'),
        Series: object({ id: STRING, title: STRING, sheet: maybe(STRING), parts: list(shape(:SeriesPart)) },
                       about: 'Lessons that recur; each part speaks from its `from` on, the first from the beginning.'),
        CourseView: object({ name: maybe(STRING), **POLICIES, series: list(shape(:Series)) },
                           about: 'A course, and what it keeps; `keep_recordings`: for how many days, for ever where it does not say.'),
        CoursePerson: object({ id: STRING, name: STRING, role: COURSE_ROLE }),
        PeopleView: object({ people: list(shape(:CoursePerson)) }, about: 'Who belongs to a course, and the part each plays there.')
      }.freeze
    end
  end
end
