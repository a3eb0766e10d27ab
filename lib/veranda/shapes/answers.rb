# frozen_string_literal: true

module Veranda
  module Shapes
    # What the HTTP resources answer with, see {Addresses}. Lengths are ms, moments ms since the epoch.
    module Answers
      include Language

      KINDS = %w[document picture sound clip link].freeze
      STATES = %w[waiting working ready failed].freeze
      AUDIENCE = one_of(Core::Lessons::Audience::KINDS)
      OUTSIDE = one_of('closed', 'read', 'work')
      TITLED = { id: STRING, title: STRING }.freeze
      NAMED = { id: STRING, name: STRING }.freeze

      SESSIONS = {
        Session: object({ csrf: STRING, person: maybe(object({ **NAMED, teaches: BOOLEAN })) }),
        Stick: object({ kind: one_of(Core::Boards::Mark::FREEHAND), ink: one_of(Core::Boards::Inks::NAMES), width: NUMBER },
                      about: 'A ready tool: what it draws, in which ink and how wide (px on the page).'),
        Sticks: object({ sticks: maybe(list(shape(:Stick))) }),
        LookedAt: object({ kind: one_of('personal', 'class', 'recording'), password: BOOLEAN, name: maybe(STRING),
                           lesson: maybe(shape(:LessonOfLink)) },
                         about: 'What a link is for, before anybody goes in by it.'),
        LessonOfLink: object({ title: STRING, starts_at: MOMENT, minutes: INTEGER, course: STRING, host: maybe(STRING), known: BOOLEAN }),
        MadeLink: object({ id: STRING, token: STRING, expires_at: maybe(MOMENT) }, about: 'A link, shown once.'),
        LinkRow: object({ id: STRING, made_at: MOMENT, expires_at: maybe(MOMENT) },
                        may: { password: BOOLEAN, accounts_only: BOOLEAN, from: maybe(MOMENT), to: maybe(MOMENT) }),
        GuestFacts: object({ guests: list(object({ **NAMED, link_id: maybe(STRING) })), links: list(shape(:LinkRow)) },
                           about: "Who came into a lesson's classes by link, and the links that still let people in."),
        Course: object({ **NAMED, zone: STRING, role: STRING }),
        CoursePolicy: object(Views::POLICIES,
                             about: 'What a course keeps; `keep_recordings`: for how many days, for ever where it does not say.')
      }.freeze

      LESSON = { **TITLED, number: INTEGER, minutes: INTEGER, role: STRING, starts_at: MOMENT, course: STRING }.freeze
      STEP = { id: STRING, **Views::STEP_FIELDS }.freeze
      SHEET = object({ total: INTEGER, minutes: INTEGER, over: INTEGER, rows: list(object({ **STEP, starts_at: MOMENT })), slack: INTEGER,
                       squeeze: maybe(list(shape(:LessMinutes))) })

      # What one may do, and what decides it, see {Core::Rights::Answer}.
      DECIDED = object({ allowed: BOOLEAN, from: one_of('staff', 'floor', 'exception', 'step', 'rule', 'class', 'outside') })

      LESSONS = {
        Finding: object({ code: STRING, says: STRING, **%i[step board page mark material].to_h { |place| [place, maybe(STRING)] } }),
        CalendarFacts: object({ lessons: list(shape(:CalendarLesson)), more: BOOLEAN },
                              about: 'Lessons from one day to another; `more` where there are too many to be told.'),
        CalendarLesson: object({ **LESSON, of: INTEGER, course_id: STRING, zone: STRING, host: maybe(STRING), series: maybe(STRING),
                                           cancelled: BOOLEAN, held: BOOLEAN, open: BOOLEAN, version: INTEGER, said: maybe(STRING) },
                               about: 'A lesson in the calendar: the `number`th `of` those of its course; `said` is which of its series.'),
        Clash: object({ person: object(NAMED), role: STRING, lesson: maybe(object(TITLED)) },
                      about: 'Somebody who is in another lesson then; which one, where one may know.'),
        Clashes: object({ clashes: list(shape(:Clash)), count: INTEGER, free: maybe(MOMENT) },
                        about: 'Who would be elsewhere, how many they are, and the nearest day at that time on which nobody would be.'),
        SeriesFacts: object({ id: STRING, title: STRING, sheet: maybe(STRING), parts: list(object({ **Views::PART, words: STRING })),
                              slots: list(STRING) },
                            about: 'A series, each part with how people say it, and when its lessons are by the clock on the wall.'),
        SeriesAhead: object({ words: STRING, count: INTEGER, ends: BOOLEAN, past: INTEGER,
                              lessons: list(object({ of: STRING, starts_at: MOMENT })),
                              clashing: list(object({ of: STRING, count: INTEGER, clashes: list(shape(:Clash)) })) },
                            about: 'What a series would come to, with the days that are left out.'),
        DeskFacts: object({ now: MOMENT, lessons: list(shape(:DeskLesson)), waiting: shape(:DeskWaiting) }),
        DeskLesson: object({ **LESSON, cancelled: BOOLEAN, course_id: STRING, host: maybe(STRING), class: maybe(shape(:DeskClass)) },
                           may: { steps: list(object({ title: STRING, minutes: INTEGER })), boards: INTEGER, record_from: maybe(STRING),
                                  to_mend: list(shape(:Finding)) }),
        DeskClass: object({ id: STRING, status: one_of('planned', 'open', 'ended'), here: INTEGER, shared: BOOLEAN,
                            recorded: maybe(INTEGER) }),
        DeskWaiting: object({ recordings: list(object(TITLED)), lessons: list(object({ **TITLED, count: INTEGER })),
                              questions: list(object({ **TITLED, count: INTEGER })) }),
        Step: object(STEP),
        LessonFacts: object({ **LESSON, course_id: STRING, steps: list(shape(:Step)), record_from: maybe(STRING), version: INTEGER,
                                        cancelled: BOOLEAN, held: BOOLEAN, zone: STRING, **Views::SLOT, **Views::DOORS,
                                        sheet: SHEET, boards: list(shape(:BoardRow)), copies: list(shape(:OwnCopy)),
                                        to_mend: list(shape(:Finding)) },
                            about: 'A lesson as staff see it; `version` is the number of the last entry of its plan, and `squeeze` null ' \
                                   'when there is not that much to spare.'),
        OpenLesson: object({ **LESSON, course_id: STRING, boards: list(object({ **NAMED, outside: OUTSIDE, first_page: STRING })),
                                       copies: list(shape(:OwnCopy)) },
                           about: 'A lesson as its students see it before and after class.'),
        News: object({ board: STRING, person: STRING, name: STRING, count: INTEGER, at: MOMENT },
                     about: 'What somebody did on a board since one last looked.'),
        ClassFacts: object({ **TITLED, lesson: STRING, course: STRING, rehearsal: BOOLEAN, recording: one_of('none', 'waiting', 'ready'),
                                       shared: BOOLEAN, private_in_transcripts: BOOLEAN, stage: BOOLEAN },
                           may: { telephone: STRING },
                           about: '`recording`: whether there is something to watch afterwards, now or once staff share it; `stage`: ' \
                                  'whether there are sound and picture; `telephone`: the code by which one calls, for staff.'),
        HeardRow: object({ person: STRING, last: maybe(MOMENT), spells: INTEGER, posts: INTEGER, marks: INTEGER,
                           answers: INTEGER, hands: INTEGER, floors: INTEGER, signals: INTEGER, speeches: INTEGER, spoken: INTEGER },
                         about: 'What one student did in a class so far; `spells` are half minutes in which they did anything.'),
        SurveyRow: object({ person: STRING, rights: object(Core::Rights::RIGHTS.keys.to_h { |right| [right, DECIDED] }) },
                          about: 'What one student may do in a place, and what decides it.')
      }.freeze

      ROOMS = {
        RoomsOffered: object({ people: list(shape(:Author)), known: list(shape(:Author)), offers: list(list(INTEGER)),
                               met: list(shape(:Met)), earlier: list(shape(:EarlierActivity)) },
                             about: 'Who would be dealt, who is on the roster or in the class, the sizes of rooms that they make, who ' \
                                    'has met, and what could be held again.'),
        Met: object({ one: STRING, other: STRING, times: INTEGER }),
        EarlierActivity: object({ activity: STRING, sitting: STRING, name: STRING, at: maybe(MOMENT),
                                  rooms: list(object({ **NAMED, people: list(STRING), boards: list(shape(:SittingBoard)),
                                                                shared: BOOLEAN })) }),
        PastActivity: object({ activity: STRING, sitting: STRING, name: STRING, at: maybe(MOMENT), rooms: list(shape(:PastRoom)) },
                             about: 'An activity that is over, with the rooms that one may know of.'),
        PastRoom: object({ **NAMED, people: list(shape(:Author)), boards: list(shape(:SittingBoard)), shared: BOOLEAN }),
        RoomPulse: object({ room: STRING, last: maybe(MOMENT), quiet: INTEGER, still: BOOLEAN, parts: list(INTEGER) },
                          about: 'How a room comes along: `parts` are how much was done in each minute lately, oldest first.')
      }.freeze

      BOARDS = {
        OwnCopy: object({ **NAMED, copy_of: STRING, outside: OUTSIDE, first_page: STRING, owner: STRING },
                        about: "Somebody's own copy of a board that was handed out in a class."),
        CopyWork: object({ board: STRING, of: STRING, person: STRING, edits: INTEGER, at: maybe(MOMENT) },
                         about: 'How a copy comes along: how often whoever it belongs to did something on it, and when last.'),
        BoardRow: object({ **NAMED, lesson_id: STRING, audience: AUDIENCE, people: list(STRING), outside: OUTSIDE,
                                    template: BOOLEAN, material_id: maybe(STRING), first_page: STRING, owner_id: maybe(STRING) }),
        FoundBoard: object({ **NAMED, lesson_id: STRING, lesson: STRING, starts_at: MOMENT, course_id: STRING, template: BOOLEAN,
                                      audience: AUDIENCE, outside: OUTSIDE, material_id: maybe(STRING), pages: maybe(INTEGER),
                                      marks: maybe(INTEGER), words: STRING, authors: maybe(STRING), used_at: maybe(MOMENT) },
                           about: 'A board as it is found among all others.'),
        BoardChange: object({ seq: INTEGER, at: MOMENT, by: STRING, way: maybe(STRING), count: INTEGER })
      }.freeze

      MATERIAL = { **TITLED, course_id: STRING, labels: list(STRING), version: INTEGER, first_slide: INTEGER, link: maybe(STRING),
                             name: STRING, type: STRING, kind: one_of(KINDS), size: INTEGER, state: one_of(STATES),
                             newer: maybe(one_of(STATES)),
                             slide_count: maybe(INTEGER), findings: list(object({ code: STRING, says: STRING })), made_at: MOMENT,
                             facts: object({ poster: BOOLEAN },
                                           may: { seconds: maybe(NUMBER), w: maybe(INTEGER), h: maybe(INTEGER), waveform: list(NUMBER),
                                                  codecs: list(STRING) }) }.freeze

      MATERIALS = {
        Material: object(MATERIAL, may: { uses: list(shape(:Use)) },
                                   about: '`newer`: what becomes of a newer version, while there is one that is not ready.'),
        MaterialFacts: object({ **MATERIAL, slides: list(shape(:Slide)), uses: list(shape(:Use)) }),
        Slide: object({ slide: INTEGER, w: INTEGER, h: INTEGER, words: STRING }),
        Use: object({ board: STRING, name: STRING, lesson_id: STRING, lesson: STRING }, about: 'A board that shows a material.'),
        Upload: object({ id: STRING, offset: INTEGER, size: INTEGER, piece: INTEGER }, may: { material: STRING, lesson: STRING,
                                                                                              recording: STRING },
                                                                                       about: 'How far a file has come.')
      }.freeze

      ALL = { **SESSIONS, **LESSONS, **ROOMS, **BOARDS, **MATERIALS, **Recordings::ALL }.freeze
    end
  end
end
