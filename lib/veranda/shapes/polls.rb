# frozen_string_literal: true

module Veranda
  module Shapes
    # Polls, as they are asked, answered and told.
    module Polls
      include Language

      ROUND = object({ round: INTEGER, opened_at: MOMENT, from: MOMENT, ends_at: maybe(MOMENT), closed_at: maybe(MOMENT), cleared: BOOLEAN,
                       talk: BOOLEAN },
                     about: 'One opening of a poll; answers are taken `from` a moment on, `talk` where people talked it over before.')
      WHY = maybe(one_of(Core::Polls::Likeness::WHY))
      RESULTS = { round: INTEGER, tally: shape(:Tally) }.freeze
      BESIDE = { since: INTEGER, before: shape(:Tally), moves: maybe(shape(:Moves)) }.freeze

      ALL = {
        Question: Commands.of(Core::Polls::Question::CONTRACT).merge(description: 'What a poll asks, see Core::Polls::Question.'),
        PollSet: object({ id: STRING, title: STRING }, about: 'Several polls that are taken as one form.'),
        StagedPoll: object({ id: STRING, question: shape(:Question), place: maybe(STRING), set: maybe(shape(:PollSet)),
                             step: maybe(STRING), begun: BOOLEAN, away: BOOLEAN }, about: 'A poll that staff have at hand in a class.'),
        PollRound: ROUND,
        PollView: object({ question: maybe(shape(:Question)), place: maybe(STRING), set: maybe(shape(:PollSet)),
                           rounds: list(shape(:PollRound)), shown: maybe(shape(:PollShown)) },
                         about: 'A poll as everyone may know it to whom it was put; the question without what is right.'),
        PollResults: object(RESULTS, may: { **BESIDE, struck: list(STRING) }, about: 'What a round came to, or two side by side.'),
        PollShown: object(RESULTS, may: { **BESIDE, right: shape(:RightAnswer), explanation: STRING },
                                   about: 'The same as everyone sees it, with what is right if that is told.'),
        RightAnswer: Commands.of(Core::Polls::Question::RIGHT),
        Tally: object({ count: INTEGER, right: maybe(NUMBER) },
                      may: { options: list(object({ id: STRING, count: INTEGER })),
                             places: list(object({ option: STRING, points: NUMBER, mean: maybe(NUMBER) })), condorcet: maybe(STRING),
                             groups: list(shape(:AnswerGroup)), spread: maybe(shape(:Spread)),
                             points: list(object({ point: INTEGER, count: INTEGER })),
                             bins: list(object({ from: NUMBER, to: NUMBER, count: INTEGER })),
                             spots: list(object({ x: NUMBER, y: NUMBER, count: INTEGER })) },
                      about: 'What the answers of a round come to; `count` alone where more would tell who gave which.'),
        AnswerGroup: object({ key: STRING, words: STRING, count: INTEGER,
                              texts: list(object({ text: STRING, key: STRING, count: INTEGER, why: WHY })) },
                            about: 'Written answers that are taken for the same, and why.'),
        Spread: object({ count: INTEGER, least: NUMBER, lower: NUMBER, median: NUMBER, upper: NUMBER, most: NUMBER }),
        Moves: object({ count: INTEGER, ways: maybe(list(object({ from: ANYTHING, to: ANYTHING, count: INTEGER }))),
                        right: maybe(object({ before: NUMBER, after: NUMBER, gain: maybe(NUMBER) })) },
                      about: 'Of those who answered in both rounds, who went from what to what.'),
        PollLive: object({ at: MOMENT, round: INTEGER, answered: INTEGER, expected: INTEGER, missing: list(shape(:Author)), more: INTEGER,
                           results: shape(:PollResults) },
                         about: 'How a poll comes along, counted `at` a moment; `missing` of those who have not answered, and `more`.'),
        QuestionsView: object({ questions: list(shape(:Asking)), now: maybe(STRING), review: BOOLEAN, nameless: BOOLEAN },
                              about: 'What people have asked; `now` is being answered.'),
        Asking: object({ id: STRING, number: INTEGER, text: STRING, by: maybe(STRING), name: maybe(STRING), at: MOMENT, votes: INTEGER,
                         state: one_of('open', 'answered', 'merged', 'waiting', 'passed', 'kept'), answer: maybe(STRING),
                         answered_at: maybe(MOMENT), into: maybe(STRING) },
                       about: 'A question that somebody asked; `votes` are others who ask it too.'),
        ClassQuestions: object({ sitting: STRING, title: STRING, at: maybe(MOMENT), recorded: BOOLEAN, questions: list(shape(:Asking)) },
                               about: 'What was asked in a class that is over.'),
        NamedAnswer: object({ id: STRING, name: STRING, value: ANYTHING, right: maybe(BOOLEAN) }),
        SetProgress: object({ polls: INTEGER, people: list(object({ id: STRING, name: STRING, answered: INTEGER })) },
                            about: 'How far each has come in a set; nobody where any of it is without names.'),
        MyAnswer: object({ poll: STRING, round: INTEGER, value: ANYTHING }, about: 'What one has answered oneself.'),
        BankPoll: object({ id: STRING, course: STRING, question: shape(:Question), labels: list(STRING), changed_at: MOMENT,
                           lesson: maybe(STRING) },
                         about: 'A poll that is kept to be used again; or, with `lesson`, one that a lesson has.')
      }.freeze
    end
  end
end
