# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    module Lessons
      # Actions prepared on a step, fired by one key in class:
      #
      #   { id:, kind: 'show', board:, page: }     another board comes on show
      #   { id:, kind: 'timer', seconds:, label: } a timer starts that everyone sees; with `until_done` it ends when all are done
      #   { id:, kind: 'record' }                  the recording begins
      #   { id:, kind: 'hand_out', board: }        a board comes on show, of which each has a copy of their own
      #   { id:, kind: 'pairs', size:, board: }    pairs or threes are drawn, with a board each with a copy of it
      #
      #   { id:, kind: 'rooms', plan:, board: }    people are dealt into rooms by a group plan; fired again, the rooms open, each with a
      #                                            copy of the board, or of the step's
      #   { id:, kind: 'poll', question: }         a poll, opened round by round, see {Polls::OpenPoll}
      #
      #   { id:, kind: 'set', label:, questions: } several polls as one form, each opened as one of its own: `{ id:, question: }`
      #
      #   { id:, kind: 'clip', material: }         a sound or clip plays for everyone in the main room
      module Cues
        KINDS = %w[show timer record hand_out pairs rooms poll set clip].freeze
        MOST = 12

        CONTRACT = Contract.define do
          required(:id).value(Types::ID)
          required(:kind).value(:string, included_in?: KINDS)
          optional(:label).value(:string, max_size?: 80)
          optional(:board).value(Types::ID)
          optional(:page).value(Types::ID)
          optional(:material).value(Types::ID)
          optional(:until_done).value(:bool)
          optional(:size).value(:integer, included_in?: Sittings::Pairing::SIZES)
          optional(:plan).hash(Rooms::GroupPlan::CONTRACT)
          optional(:question).hash(Polls::Question::CONTRACT)
          optional(:questions).value(:array, max_size?: Polls::Staged::MOST_OF_SET).each do
            hash do
              required(:id).value(Types::ID)
              required(:question).hash(Polls::Question::CONTRACT)
            end
          end
          optional(:seconds).value(:integer, gteq?: 5, lteq?: 36_000)
        end

        # What a poll asks that nobody has written yet.
        UNWRITTEN = { kind: 'short', text: '' }.freeze

        NEEDED = { 'show' => :board, 'timer' => :seconds, 'hand_out' => :board, 'pairs' => :size, 'rooms' => :plan,
                   'poll' => :question, 'set' => :questions }.freeze

        module_function

        # The same cue where boards have other ids.
        # @param cue [Hash]
        # @param boards [#to_proc] the new id of a board by its old one
        # @return [Hash]
        def on_boards(cue, boards)
          there = boards.to_proc
          move = ->(question) { question && question[:board] ? question.merge({ board: there.call(question[:board]) }.compact) : question }
          questions = cue[:questions]&.map { |row| row.merge(question: move.call(row[:question])) }
          cue.merge({ board: there.call(cue[:board]), question: move.call(cue[:question]), questions: questions }.compact)
        end

        # The same cue where materials have other ids; what is not there any more is not shown.
        # @param cue [Hash]
        # @param materials [Hash{String => String}] new ids by old ones
        # @return [Hash]
        def on_materials(cue, materials)
          questions = cue[:questions]&.map { |row| row.merge(question: shown_with(row[:question], materials)) }
          cue.except(:material).merge({ question: cue[:question]&.then { |asked| shown_with(asked, materials) }, questions: questions,
                                        material: materials[cue[:material]] }.compact)
        end

        def shown_with(asked, materials)
          options = asked[:options]&.map { |option| { **option, picture: picture_of(option, materials) }.compact }
          { **asked, picture: picture_of(asked, materials), options: options }.compact
        end
        private_class_method :shown_with

        def picture_of(shown, materials)
          picture = shown[:picture]
          picture && materials[picture[:material]] && picture.merge(material: materials[picture[:material]], version: 1)
        end
        private_class_method :picture_of

        # @param cue [Hash]
        # @return [Array<String>] ids of the materials that its polls show, or that it plays
        def materials(cue)
          [cue[:material], *polls(cue).flat_map { |poll| Polls::Question.materials(poll[:question]) }].compact
        end

        # @param cue [Hash]
        # @return [Array<Hash>] polls that it opens: `{ id:, cue:, question:, set: }`
        def polls(cue)
          own = { cue: cue[:id], set: nil }
          return [{ **own, id: cue[:id], question: cue[:question] || UNWRITTEN }] if cue[:kind] == 'poll'

          own[:set] = { id: cue[:id], title: cue[:label] || '' }
          (cue[:questions] || []).map { |row| { **own, **row } }
        end

        # @param cue [Hash]
        # @param boards [Array<String>] ids of the lesson's boards
        # @raise [Refusal] `cue_incomplete`, `no_such_board`
        def check!(cue, boards)
          needed = NEEDED[cue[:kind]]
          if needed && cue[needed].nil?
            raise Refusal.new(:cue_incomplete,
                              'A cue lacks what it should do. Choose it, or take the cue out.')
          end
          return if cue[:board].nil? || boards.include?(cue[:board])

          raise Refusal.new(:no_such_board, 'The board of a cue is not in this lesson.')
        end
      end
    end
  end
end
