# frozen_string_literal: true

module Veranda
  module Shapes
    # What the HTTP resources answer with about recordings and what is left of a class. Lengths are ms, moments ms since the epoch.
    module Recordings
      include Language

      RECORDING = { id: STRING, title: STRING, course: STRING, at: MOMENT, length: INTEGER, shared: BOOLEAN, staff: BOOLEAN }.freeze

      ALL = {
        RecordingRow: object({ **RECORDING, number: INTEGER, size: INTEGER, chapters: list(STRING), taught: list(STRING),
                                            sound: maybe(one_of('waiting', 'ready', 'partly')) },
                             may: { places: list(shape(:RecordedPlace)) }),
        RecordedPlace: object({ at: MOMENT, words: STRING, board: maybe(STRING), page: maybe(STRING),
                                kind: one_of('post', 'question', 'caption', 'board', 'slide', 'poll', 'chapter') },
                              about: 'Where in a recording something was found, by the time of day.'),
        RecordingFacts: object({ **RECORDING, chapters: list(shape(:Chapter)), stretches: list(pair(MOMENT)), cuts: INTEGER,
                                              rooms: list(shape(:RecordedRoom)), tracks: list(shape(:Track)),
                                              sound: maybe(one_of('waiting', 'ready', 'partly')),
                                              boards: list(shape(:SittingBoard)),
                                              people: list(object({ id: STRING, name: STRING, role: Views::ROLE })),
                                              you: maybe(STRING), opened: MOMENT, stopped: maybe(MOMENT) },
                               about: '`stretches`: what is left to see of the class, from and to; `you`: who one is in it.'),
        RecordingWatching: object({ people: list(object({ name: STRING, minutes: INTEGER, seen_at: MOMENT })), by_link: INTEGER,
                                    from: MOMENT, minutes: list(INTEGER) },
                                  about: 'Who watched how many minutes; `minutes`: how many watched each, from the beginning.'),
        AfterClass: object({ id: STRING, title: STRING, lesson: STRING, number: INTEGER, course: STRING, staff: BOOLEAN,
                             opened: maybe(MOMENT), ended: MOMENT,
                             taught: list(STRING), said: INTEGER, posts: INTEGER,
                             recording: maybe(object({ length: INTEGER, chapters: list(shape(:Chapter)),
                                                       sound: maybe(one_of('waiting', 'ready', 'partly')) })),
                             boards: list(object({ id: STRING, name: STRING, pages: maybe(INTEGER) })),
                             polls: list(object({ text: STRING, round: INTEGER,
                                                  rows: list(object({ words: STRING, count: INTEGER }, may: { right: maybe(BOOLEAN) })) })),
                             files: list(object({ title: STRING, kind: one_of('document', 'picture', 'sound', 'clip', 'link'),
                                                  address: STRING })) },
                           about: 'What is left of a class, as far as one may watch it; without that the boards that are open.'),
        RecordingHappened: object({ every: INTEGER, parts: list(NUMBER), quiet: list(pair(INTEGER)),
                                    own: list(object({ t: INTEGER, kind: one_of(*Core::Recordings::Happened::OWN.values),
                                                       words: maybe(STRING) })) },
                                  about: 'How much happened in each part of a recording, `every` so many ms; where nothing did; and ' \
                                         'what one did oneself. Times are ms of the recording.'),
        RecordingLevels: object({ every: INTEGER, parts: list(INTEGER), silences: list(pair(MOMENT)) },
                                about: 'How loud it was in each part of a class, 0 to 100, `every` so many s; and where nobody was heard.'),
        RecordingNote: object({ id: STRING, at: MOMENT, words: STRING }),
        RecordingExport: object({ id: STRING, kind: one_of(*Store::Exports::KINDS), formats: list(STRING), captions: STRING, done: NUMBER,
                                  state: one_of('waiting', 'making', 'ready', 'failed', 'outdated'), says: maybe(STRING), made_at: MOMENT,
                                  files: list(object({ name: STRING, size: INTEGER })) },
                                about: 'What is made of a recording to be taken away; `done`: what share of it, 0 to 1. One that is ' \
                                       'outdated was made before the last edit, and is given to nobody.'),
        RecordingEdits: object({ parts: list(shape(:RecordingPart)), names_hidden: BOOLEAN, left_out: list(STRING),
                                 from: MOMENT, to: MOMENT,
                                 recorded: list(pair(MOMENT)), people: list(object({ id: STRING, name: STRING })),
                                 chapters: list(object({ at: MOMENT, title: maybe(STRING) })) },
                               about: 'How a recording was edited, of a class `from` one time of day `to` another.'),
        Captions: object({ lang: STRING, lines: list(shape(:CaptionCue)) }),
        CaptionCue: object({ id: STRING, from: INTEGER, to: INTEGER, words: STRING },
                           about: 'A line of a caption, in ms of the recording.'),
        RecordingPart: object({ id: STRING, kind: one_of('cut', 'blank', 'stretch'), from: MOMENT, to: MOMENT }),
        RecordedRoom: object({ id: STRING, name: STRING, activity: STRING, from: INTEGER, to: INTEGER, boards: list(shape(:SittingBoard)),
                               heard: BOOLEAN },
                             about: 'A breakout room that one may look into while it was open; `heard`: and hear.'),
        Track: object({ id: STRING, person: STRING, kind: one_of('sound', 'picture', 'screen'), from: MOMENT, length: INTEGER },
                      may: { room: STRING },
                      about: 'What somebody sent from a time of day on, and for how many ms.'),
        Chapter: object({ title: STRING, from: INTEGER, to: INTEGER, at: MOMENT }),
        RecordedMoment: object({ t: INTEGER, wall: MOMENT, streams: by_name(ANYTHING) }),
        RecordedEntries: object({ from: INTEGER, to: INTEGER, entries: list(either(shape(:RecordedEntry), shape(:RecordedSeam))) }),
        RecordedSeam: object({ kind: exactly('seam'), t: INTEGER, wall: MOMENT, streams: by_name(ANYTHING) },
                             about: 'Where a recording goes on: all that is there then.'),
        RecordedEntry: Entries.every('Entry & { stream: string; t: number }', stream: STRING, t: INTEGER)
      }.freeze
    end
  end
end
