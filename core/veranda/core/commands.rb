# frozen_string_literal: true

module Veranda
  module Core
    # The catalogue of every command, by the name clients use.
    module Commands
      # What is done to a recording once the class is over.
      EDITING = [
        Recordings::Cut, Recordings::Blank, Recordings::AddStretch, Recordings::TakeBack, Recordings::SetChapter, Recordings::HideNames,
        Recordings::LeaveOut, Recordings::SetCaptions
      ].freeze

      ALL = [
        Boards::PutMarks, Boards::ChangeMarks, Boards::RemoveMarks, Boards::ClearPage,
        Boards::ArrangeMarks, Boards::StraightenMarks, Boards::UseProp,
        Boards::UndoEdit, Boards::RedoEdit, Boards::BringBack, Boards::AddPage, Boards::SetPage, Boards::LaySlides, Boards::TakeIn,
        Boards::PointAt, Boards::LockBoard,
        Sittings::Plan, Sittings::SetBoards, Sittings::OpenDoors, Sittings::EndClass,
        Sittings::SetDoors, Sittings::LetIn, Sittings::SendToWait, Sittings::Remove, Sittings::LetBack,
        Sittings::Join, Sittings::Drop, Sittings::Leave, Sittings::MoveToStep, Sittings::Extend, Sittings::Show,
        Sittings::RaiseHand, Sittings::LowerHand,
        Sittings::SetRight, Sittings::LendFloor, Sittings::TakeFloor, Sittings::Mute, Sittings::Invite, Sittings::AnswerInvitation,
        Sittings::ShareScreen, Sittings::PauseScreen, Sittings::MakeLarge, Sittings::Caption, Sittings::PutOnClip,
        Sittings::SetClip, Sittings::GiveSignal, Sittings::ClearSignals, Sittings::Record,
        Sittings::FireCue, Sittings::RefuseCue, Sittings::StopTimer, Sittings::Spoke, Sittings::SetExchange, Sittings::KeepTogether, Sittings::HandOut,
        Sittings::GiveCopies, Sittings::Pair, Sittings::EndPairs,
        Rooms::DealRooms, Rooms::OpenRooms, Rooms::AddRoom, Rooms::RenameRoom, Rooms::RemoveRoom, Rooms::Assign, Rooms::Gather, Rooms::SetTime,
        Rooms::BringBack, Rooms::Call, Rooms::Announce, Rooms::Address, Rooms::StepIn, Rooms::Go, Rooms::GiveBoards, Rooms::ChooseBoards, Rooms::ShareRoom,
        Polls::StagePoll, Polls::OpenPoll, Polls::AnswerPoll, Polls::ClosePoll, Polls::CountBallots, Polls::CountMarks, Polls::ShowPoll, Polls::SealPoll,
        Polls::ClearRound, Polls::PutAwayPoll, Polls::GroupAnswers, Polls::NameGroup, Polls::StrikeAnswer,
        Questions::Ask, Questions::Vote, Questions::CountVotes, Questions::Review, Questions::Merge, Questions::AnswerNow, Questions::Finish,
        Questions::SetQuestions,
        Exchange::WritePost, Exchange::DeletePost, Exchange::React, Exchange::Pin, Exchange::Park,
        Exchange::BeginThread, Exchange::WriteInThread, Exchange::DeleteInThread, Exchange::ReactInThread,
        Lessons::SetPlan, Lessons::AddStep, Lessons::SetStep, Lessons::MoveStep, Lessons::TakeStep,
        Courses::BeginCourse, Courses::SetCourse, Courses::PlanSeries, Courses::ChangeSeries, Courses::Enrol, Courses::GiveRole, Courses::TakeOut,
        *EDITING
      ].freeze

      BY_NAME = ALL.to_h { |command| [command.wire_name, command] }.freeze

      # Only the server itself issues these: they say what it saw, or what was asked for over HTTP.
      INTERNAL = [
        Boards::LaySlides, Boards::TakeIn, Sittings::Plan, Sittings::SetBoards, Sittings::Join, Sittings::Drop, Sittings::Leave,
        Sittings::GiveCopies, Sittings::Pair, Sittings::RefuseCue, Sittings::PutOnClip, Sittings::Spoke,
        Rooms::DealRooms, Rooms::OpenRooms, Rooms::AddRoom, Rooms::Gather, Rooms::BringBack, Rooms::GiveBoards,
        Polls::CountBallots, Polls::CountMarks, Polls::ShowPoll, Questions::CountVotes,
        Courses::BeginCourse, Courses::Enrol,
        *EDITING
      ].freeze

      # @param wire_name [String]
      # @return [Class<Command>]
      # @raise [Refusal] `unknown_command`
      def self.fetch(wire_name)
        BY_NAME.fetch(wire_name) do
          raise Refusal.new(:unknown_command, 'This page asked for something the server does not know. Reload it.')
        end
      end

      # @raise [Refusal] `unknown_command` unless a client may ask for it
      def self.public!(wire_name)
        fetch(INTERNAL.include?(fetch(wire_name)) ? nil : wire_name)
      end

      # Checks the input and decides in one go.
      # @param wire_name [String]
      # @param input [Hash]
      # @return [Array<Streams::Draft>]
      # @yieldparam command [Class<Command>]
      # @yieldparam input [Hash] checked
      # @yieldreturn [Scene]
      def self.decide(wire_name, input)
        command = fetch(wire_name)
        checked = Contract.check(command.contract, input)
        drafts(command, checked, yield(command, checked))
      end

      # @param command [Class<Command>]
      # @param input [Hash] checked
      # @param scene [Scene]
      # @return [Array<Streams::Draft, Polls::Ballot>] what is to be stored
      # @raise [Refusal]
      def self.drafts(command, input, scene) = [command.new(input, scene).decide].flatten.compact
    end
  end
end
