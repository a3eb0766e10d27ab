# frozen_string_literal: true

module Veranda
  module Shapes
    # Which address answers with what, when all went well.
    module Addresses
      include Language

      ID = object({ id: STRING })
      SITTING = object({ sitting: STRING })
      LINKS = object({ links: list(shape(:LinkRow)) })
      EXPORTS = object({ exports: list(shape(:RecordingExport)) })
      NOTES = object({ notes: list(shape(:RecordingNote)) })
      NOTHING = object({})

      ALL = {
        'GET /api/session' => shape(:Session),
        'DELETE /api/session' => object({ person: { type: 'null' } }),
        'GET /api/sticks' => shape(:Sticks),
        'PATCH /api/sticks' => shape(:Sticks),
        'POST /api/links/look' => shape(:LookedAt),
        'POST /api/links/enter' => object({ to: STRING }),
        'GET /api/courses' => list(shape(:Course)),
        'PATCH /api/courses/:id' => shape(:CoursePolicy),
        'GET /api/courses/:id/policy' => shape(:CoursePolicy),
        'GET /api/desk' => shape(:DeskFacts),
        'GET /api/agenda' => LINKS,
        'POST /api/agenda' => object({ id: STRING, address: STRING }),
        'DELETE /api/agenda/:id' => LINKS,
        'GET /api/calendar' => shape(:CalendarFacts),
        'GET /api/courses/:id/clashes' => shape(:Clashes),
        'POST /api/courses/:id/series' => ID,
        'GET /api/courses/:id/series/:series' => shape(:SeriesFacts),
        'PATCH /api/courses/:id/series/:series' => shape(:SeriesFacts),
        'POST /api/courses/:id/series/ahead' => shape(:SeriesAhead),
        'POST /api/lessons' => ID,
        'GET /api/lessons/:id' => either(shape(:LessonFacts), shape(:OpenLesson)),
        'PATCH /api/lessons/:id' => object({ id: STRING, starts_at: MOMENT, minutes: INTEGER, cancelled: BOOLEAN, version: INTEGER }),
        'POST /api/lessons/:id/class' => SITTING,
        'POST /api/lessons/:id/rehearsals' => SITTING,
        'POST /api/lessons/:id/boards' => shape(:BoardRow),
        'POST /api/lessons/:id/copies' => ID,
        'GET /api/lessons/:id/news' => list(shape(:News)),
        'POST /api/lessons/:id/links' => shape(:MadeLink),
        'DELETE /api/lessons/:id/links/:link' => shape(:GuestFacts),
        'GET /api/lessons/:id/expected' => object({ people: list(shape(:Author)) }),
        'GET /api/lessons/:id/activities' => object({ activities: list(shape(:PastActivity)) }),
        'GET /api/lessons/:id/guests' => shape(:GuestFacts),
        'DELETE /api/lessons/:id/guests/:person' => shape(:GuestFacts),
        'GET /api/classes/:id' => shape(:ClassFacts),
        'GET /api/classes/:id/places/:place/rights' => object({ people: list(shape(:SurveyRow)) }),
        'GET /api/classes/:id/places/:place/heard' => object({ people: list(shape(:HeardRow)), gini: maybe(NUMBER) }),
        'POST /api/classes/:id/places/:place/pairs' => object({ pairs: list(shape(:PairRow)) }),
        'PATCH /api/lessons/:id/activities/:activity/rooms/:room' => object({ shared: BOOLEAN }),
        'POST /api/classes/:id/rooms/:activity/boards' => object({ activity: STRING }),
        'GET /api/classes/:id/rooms' => shape(:RoomsOffered),
        'POST /api/classes/:id/rooms' => object({ activity: STRING }),
        'POST /api/classes/:id/rooms/:activity/open' => object({ activity: STRING }),
        'POST /api/classes/:id/rooms/:activity/rooms' => object({ room: STRING }),
        'POST /api/classes/:id/rooms/:activity/side-by-side' => object({ board: STRING }),
        'GET /api/classes/:id/rooms/:activity/pulse' => object({ rooms: list(shape(:RoomPulse)) }),
        'GET /api/classes/:id/polls/mine' => object({ answers: list(shape(:MyAnswer)) }),
        'GET /api/classes/:id/polls/:poll/results' => shape(:PollResults),
        'GET /api/classes/:id/sets/:set' => shape(:SetProgress),
        'GET /api/classes/:id/polls/:poll/answers' => object({ people: list(shape(:NamedAnswer)) }),
        'GET /api/classes/:id/polls/:poll/live' => shape(:PollLive),
        'POST /api/classes/:id/polls/:poll/show' => NOTHING,
        'GET /api/classes/:id/questions/mine' => object({ own: list(STRING), up: list(STRING) }),
        'GET /api/lessons/:id/questions' => object({ classes: list(shape(:ClassQuestions)) }),
        'POST /api/classes/:id/questions/:question' => NOTHING,
        'GET /api/polls' => object({ polls: list(shape(:BankPoll)) }),
        'POST /api/courses/:id/polls' => shape(:BankPoll),
        'PATCH /api/courses/:id/polls/:poll' => shape(:BankPoll),
        'DELETE /api/courses/:id/polls/:poll' => NOTHING,
        'GET /api/classes/:id/newcomers' => object({ people: list(STRING) }),
        'GET /api/classes/:id/copies' => object({ copies: list(shape(:CopyWork)) }),
        'POST /api/classes/:id/own-boards' => object({ board: STRING }),
        'POST /api/classes/:id/boards' => object({ board: STRING }),
        'GET /api/boards' => list(shape(:FoundBoard)),
        'PATCH /api/boards/:id' => shape(:BoardRow),
        'POST /api/boards/:id/visits' => NOTHING,
        'GET /api/boards/:id/changes' => list(shape(:BoardChange)),
        'GET /api/boards/:id/at/:seq' => shape(:BoardView),
        'GET /api/courses/:id/materials' => list(shape(:Material)),
        'POST /api/courses/:id/links' => ID,
        'GET /api/posted/:id' => shape(:MaterialFacts),
        'POST /api/posted/:id/shelf' => NOTHING,
        'GET /api/materials/:id' => shape(:MaterialFacts),
        'PATCH /api/materials/:id' => shape(:Material),
        'DELETE /api/materials/:id' => NOTHING,
        'POST /api/uploads' => shape(:Upload),
        'GET /api/uploads/:id' => shape(:Upload),
        'PATCH /api/uploads/:id' => shape(:Upload),
        'DELETE /api/uploads/:id' => NOTHING,
        'GET /api/recordings' => object({ recordings: list(shape(:RecordingRow)), unread: INTEGER }),
        'GET /api/recordings/:id/places' => object({ places: list(shape(:RecordedPlace)) }),
        'POST /api/classes/:id/places/:place/clip' => NOTHING,
        'GET /api/recordings/:id' => shape(:RecordingFacts),
        'PATCH /api/recordings/:id' => object({ shared: BOOLEAN }),
        'DELETE /api/recordings/:id' => NOTHING,
        'GET /api/recordings/:id/edits' => shape(:RecordingEdits),
        'POST /api/recordings/:id/edits/:edit' => shape(:RecordingEdits),
        'GET /api/recordings/:id/captions' => object({ languages: list(shape(:Captions)) }),
        'PUT /api/recordings/:id/captions/:lang' => object({ problems: list(object({ line: INTEGER, says: STRING })) }),
        'POST /api/recordings/:id/watched' => object({}),
        'GET /api/recordings/:id/watching' => shape(:RecordingWatching),
        'GET /api/classes/:id/after' => shape(:AfterClass),
        'POST /api/classes/:id/own_copies' => ID,
        'GET /api/recordings/:id/levels' => shape(:RecordingLevels),
        'GET /api/recordings/:id/happened' => shape(:RecordingHappened),
        'GET /api/recordings/:id/notes' => NOTES,
        'POST /api/recordings/:id/notes' => NOTES,
        'DELETE /api/recordings/:id/notes/:note' => NOTES,
        'GET /api/recordings/:id/exports' => EXPORTS,
        'POST /api/recordings/:id/exports/films' => EXPORTS,
        'POST /api/recordings/:id/exports/zips' => EXPORTS,
        'DELETE /api/recordings/:id/exports/:export' => EXPORTS,
        'GET /api/recordings/:id/at' => shape(:RecordedMoment),
        'GET /api/recordings/:id/entries' => shape(:RecordedEntries),
        'GET /api/recordings/:id/links' => LINKS,
        'POST /api/recordings/:id/links' => shape(:MadeLink),
        'DELETE /api/recordings/:id/links/:link' => LINKS
      }.freeze

      PATTERNS = ALL.map { |address, found| [/\A#{address.gsub(/:\w+/, '[^/.]+')}\z/, found] }.freeze
      private_constant :PATTERNS

      # @param method [String] as `GET`
      # @param path [String] without what is asked for after `?`
      # @return [Hash, nil] what the address answers with; nil for files
      def self.of(method, path) = PATTERNS.find { |pattern, _| pattern.match?("#{method} #{path}") }&.last
    end
  end
end
