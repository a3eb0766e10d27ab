# frozen_string_literal: true

module Veranda
  module Shapes
    # The numbers and tables of the core that the browser draws and writes by.
    module Constants
      module_function

      # @return [Hash{Symbol => Object}]
      def to_h
        boards = Core::Boards
        { VERSION: Live::Protocol::VERSION, INKS: boards::Inks::INKS, WASHES: boards::Inks::WASHES, PAPER: boards::Inks::PAPER,
          PAGE_WIDTH: boards::Mark::PAGE_WIDTH, PAGE_HEIGHT: boards::Mark::PAGE_HEIGHT, FIRST_PAGE: boards::Board::FIRST_PAGE,
          FREE_BELOW: boards::Board::FREE_BELOW,
          MAX_NUMBERS: boards::MarkContract::MAX_NUMBERS, MAX_TEXT: boards::MarkContract::MAX_TEXT,
          LEADING: boards::TextLayout::LEADING, NOTE_INSET: boards::TextLayout::NOTE_INSET,
          ARROW_SPREAD: boards::ArrowHead::SPREAD, STROKE_CORNER: boards::StrokePath::CORNER,
          ALWAYS: boards::Mark::ALWAYS, REQUIRED: boards::Mark::REQUIRED, SIGN_LINES: boards::Signs::LINES,
          PIPS: boards::PropDrawing::PIPS.transform_keys(&:to_s), COUNTER_CORNERS: boards::PropDrawing::CORNERS,
          REACH: Core::Types::REACH, MOST_SAMPLES: boards::StrokeOutline::MOST_SAMPLES, SAMPLE_EVERY: boards::StrokeOutline::EVERY,
          MOST_AT_ONCE: at_once, MESSAGE_LIMIT: Live::WebSocketLine::LIMIT,
          MOST_LISTED: { materials: Core::Materials::Limits::MOST_LISTED, boards: boards::Board::MOST_LISTED },
          RIGHTS: Core::Rights::RIGHTS, RULES: Core::Rights::HouseRules::DEFAULT, SIGNALS: Core::Sittings::Signals::KINDS,
          STAFF_SIGNALS: Core::Sittings::Signals::STAFF, PASSING_SIGNALS: Core::Sittings::Signals::PASSING,
          STAFF: Core::Person::STAFF, POST_LIMIT: Core::Exchange::WritePost::LIMIT, POST_SIGNS: Core::Exchange::React::SIGNS,
          THREAD_PEOPLE: Core::Exchange::Thread::MOST_PEOPLE, MOST_PINNED: Core::Exchange::Pin::MOST,
          NAME_LIMIT: Core::Name::LIMIT, COURSE_NAME_LIMIT: Core::Courses::SetCourse::LONGEST,
          WELCOME_LIMIT: Core::Lessons::SetPlan::WELCOME_LIMIT, PLAIN_STEP: Core::Lessons::Plan::STEP,
          MOST_STEPS: Core::Lessons::Plan::MOST_STEPS,
          WIDTHS: boards::AdvanceWidths::WIDTHS, OTHERWISE: boards::AdvanceWidths::OTHERWISE, **polls }
      end

      # @return [Hash{Symbol => Object}]
      def polls
        polls = Core::Polls
        { POLL_KINDS: polls::Question::KINDS, MOST_OPTIONS: polls::Question::MOST_OPTIONS,
          POLL_LIMITS: { text: polls::Question::LONGEST_TEXT, option: polls::Question::LONGEST_OPTION, answer: polls::Answer::LONGEST,
                         word: polls::Answer::LONGEST_WORD, words: polls::Answer::MOST_WORDS, points: polls::Question::USUAL_POINTS,
                         rounds: polls::Poll::MOST_ROUNDS },
          DISCUSS: [polls::Gain::DISCUSS.begin, polls::Gain::DISCUSS.end], SPOT_SQUARE: polls::Tally::SQUARE }
      end

      # @return [Hash{Symbol => Integer}] marks that one command may name
      def at_once
        boards = Core::Boards
        { put: boards::PutMarks, change: boards::ChangeMarks, remove: boards::RemoveMarks, arrange: boards::ArrangeMarks,
          straighten: boards::StraightenMarks }.transform_values { |command| command::MOST }
      end
    end
  end
end
