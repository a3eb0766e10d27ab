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
      # Clips get a kind of their own when there are clips.
      module Cues
        KINDS = %w[show timer record hand_out pairs rooms poll].freeze
        MOST = 12

        CONTRACT = Contract.define do
          required(:id).value(Types::ID)
          required(:kind).value(:string, included_in?: KINDS)
          optional(:label).value(:string, max_size?: 80)
          optional(:board).value(Types::ID)
          optional(:page).value(Types::ID)
          optional(:until_done).value(:bool)
          optional(:size).value(:integer, included_in?: Sittings::Pairing::SIZES)
          optional(:plan).hash(Rooms::GroupPlan::CONTRACT)
          optional(:question).hash(Polls::Question::CONTRACT)
          optional(:seconds).value(:integer, gteq?: 5, lteq?: 36_000)
        end

        NEEDED = { 'show' => :board, 'timer' => :seconds, 'hand_out' => :board, 'pairs' => :size, 'rooms' => :plan,
                   'poll' => :question }.freeze

        module_function

        # The same cue where boards have other ids.
        # @param cue [Hash]
        # @param boards [#to_proc] the new id of a board by its old one
        # @return [Hash]
        def on_boards(cue, boards)
          there = boards.to_proc
          question = cue[:question]
          question = question.merge({ board: there.call(question[:board]) }.compact) if question && question[:board]
          cue.merge({ board: there.call(cue[:board]), question: question }.compact)
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
