# frozen_string_literal: true

module Veranda
  module Shapes
    # What the server says over the live connection; docs/protocol.md tells the rest.
    module Messages
      include Language

      RIGHT = one_of(Core::Rights::RIGHTS.keys)
      ANSWER = object({ allowed: BOOLEAN, code: STRING, says: maybe(STRING) })
      REFUSED = { code: STRING, says: STRING }.freeze
      VIEW = object({ board: STRING, page: STRING, x: NUMBER, y: NUMBER, w: NUMBER, h: NUMBER })
      INK = object({ id: STRING, page: STRING, kind: one_of(Core::Boards::Mark::FREEHAND), ink: one_of(Core::Boards::Inks::NAMES),
                     x: NUMBER, y: NUMBER, width: NUMBER, from: INTEGER, points: list(NUMBER) })

      # @return [Hash] a message by its `t`
      def self.message(type, fields = {}, may: {}) = object({ t: exactly(type), **fields }, may: may)

      ALL = {
        Right: RIGHT,
        Answer: ANSWER,
        Rights: object(Core::Rights::RIGHTS.keys.to_h { |right| [right, shape(:Answer)] },
                       about: 'What one may do in one place, or on one board outside of class.'),
        RightsByStream: by_name(shape(:Rights)).merge(description: 'Of the places of a class that one reads, or of single boards.'),
        You: object({ id: STRING, name: STRING, role: Views::ROLE, staff: BOOLEAN }),
        StreamPart: object({ stream: STRING, head: INTEGER }, may: { view: ANYTHING, entries: list(shape(:Entry)) },
                                                              about: 'A stream as it is, or what was missed of it.'),
        Stretch: object({ step: STRING, title: STRING, planned: INTEGER, spent: INTEGER, state: one_of('past', 'now', 'next') }),
        LessMinutes: object({ step: STRING, less: INTEGER }, about: 'Minutes that a step could give.'),
        Timing: object({ at: MOMENT, stretches: list(shape(:Stretch)), planned_end: MOMENT, projected_end: MOMENT, drift: INTEGER },
                       may: { squeeze: list(shape(:LessMinutes)) },
                       about: 'How the class goes against its plan, in ms; `squeeze` is for staff, when late.'),
        Glimpse: either(object({ by: STRING, kind: exactly('pointer'), body: object({ page: STRING, x: NUMBER, y: NUMBER }) }),
                        object({ by: STRING, kind: exactly('ink'), body: either(INK, object({ id: STRING, page: STRING, end: BOOLEAN })) }),
                        object({ by: STRING, kind: exactly('typing'), body: object({}) }),
                        object({ by: STRING, kind: exactly('view'), body: either(VIEW, object({ elsewhere: BOOLEAN })) })),
        StageLink: one_of(Stage::Looking::LINKS.keys).merge(description: 'How the connection of a page stands.'),
        Relay: object({ urls: list(STRING), username: STRING, credential: STRING }, about: 'A TURN server that one may use.'),
        OnStage: object({ id: STRING, sound: BOOLEAN, picture: BOOLEAN }, about: 'Who sends sound or picture in a place.'),
        StageSlot: object({ mid: STRING, person: STRING, kind: one_of(Stage::Offer::KINDS) },
                          about: 'Which part of what one is sent is whose sound or picture.'),
        Incoming: either(
          message('welcome', { v: INTEGER, you: shape(:You), rights: shape(:RightsByStream), streams: list(shape(:StreamPart)) }),
          Entries.every("{ t: 'entry'; stream: string } & Entry", t: exactly('entry'), stream: STRING),
          message('now', { stream: STRING, all: list(shape(:Glimpse)) }),
          message('done', { id: STRING, seq: INTEGER }),
          message('refused', { id: STRING, **REFUSED }),
          message('gained', { stream: STRING, head: INTEGER, view: ANYTHING }),
          message('lost', { stream: STRING }, may: { says: STRING }),
          message('rights', { rights: shape(:RightsByStream) }),
          message('stage', { up: BOOLEAN, epoch: INTEGER, place: maybe(STRING), people: list(shape(:OnStage)), speaking: list(STRING),
                             heard_by: list(STRING), hears: maybe(STRING), relays: list(shape(:Relay)) },
                  may: { says: STRING }),
          message('sending', { epoch: INTEGER, sdp: STRING }),
          message('sharing', { epoch: INTEGER, sdp: STRING }),
          message('watching', { epoch: INTEGER, sdp: STRING, slots: list(shape(:StageSlot)) }),
          message('hearing', { ear: INTEGER, sdp: STRING, slots: list(shape(:StageSlot)) }),
          message('link', { stream: STRING, person: STRING, link: shape(:StageLink) }),
          message('telephone', { port: INTEGER, source: INTEGER }),
          message('voice', { stream: STRING, person: STRING, on: BOOLEAN }),
          message('muted', { by: STRING }),
          message('results', { stream: STRING, live: shape(:PollLive) }),
          message('timing', { stream: STRING, timing: shape(:Timing) }),
          message('error', REFUSED, may: { id: STRING }),
          message('pong')
        )
      }.freeze

      # The view of a stream by its kind, as in a welcome or when it was gained.
      VIEWS = { board: :BoardView, sitting: :SittingView, staff: :StaffView, place: :PlaceView, exchange: :ExchangeView,
                thread: :ThreadView, own: :OwnView,
                poll: :PollView, questions: :QuestionsView, asked: :QuestionsView, course: :CourseView, people: :PeopleView,
                plan: :PlanView }.freeze
    end
  end
end
