# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # Names of streams, `kind/id`. Those of a class carry its id; what belongs to one place of it, or
      # to one person in it, says so after a dot:
      #
      #   sitting/ID            what concerns the whole class
      #   staff/ID              what only staff may read
      #   place/ID.main         what is on show, rules, timer and hands of one place
      #   exchange/ID.main      what is written in that place
      #   thread/ID.THREAD      what a few people write to one another
      #   own/ID.PERSON         what concerns one person
      #   poll/ID.POLL          a poll: what is asked, its rounds, what was shown of the answers
      #   answers/ID.POLL       what was answered to it, for the server alone
      #   questions/ID          what was asked, for everyone
      #   asked/ID              what was asked and waits for review, for staff
      #   recording/ID          how the recording of the class was edited, for the server alone
      #   board/ID              marks
      module StreamName
        KINDS = %w[sitting staff place exchange thread own poll answers questions asked recording board].to_h do |kind|
          [kind, kind.to_sym]
        end.freeze
        PATTERN = %r{\A[a-z]{1,12}/[\w-]{1,40}(?:\.[\w-]{1,40})?\z}

        module_function

        def sitting(id) = "sitting/#{id}"
        def staff(sitting_id) = "staff/#{sitting_id}"
        def board(id) = "board/#{id}"
        def place(sitting_id, place) = "place/#{sitting_id}.#{place}"
        def exchange(sitting_id, place = Sittings::Places::MAIN) = "exchange/#{sitting_id}.#{place}"
        def thread(sitting_id, thread_id) = "thread/#{sitting_id}.#{thread_id}"
        def poll(sitting_id, poll_id) = "poll/#{sitting_id}.#{poll_id}"
        def answers(sitting_id, poll_id) = "answers/#{sitting_id}.#{poll_id}"
        def questions(sitting_id) = "questions/#{sitting_id}"
        def asked(sitting_id) = "asked/#{sitting_id}"
        def recording(sitting_id) = "recording/#{sitting_id}"
        def own(sitting_id, person_id) = "own/#{sitting_id}.#{person_id}"

        # @param name [String]
        # @return [Symbol] the kind of stream
        # @raise [Refusal] `unknown_stream`
        def kind(name)
          KINDS[name.to_s[%r{\A[a-z]+(?=/)}]] || raise(Refusal.new(:unknown_stream, 'There is no such board or class.'))
        end

        # @return [String] what follows the slash, up to the dot
        def id(name) = name[%r{/([^.]*)}, 1]

        # @return [String, nil] what follows the dot: a place or a person
        def part(name) = name[/\.(.*)\z/, 1]

        # @return [String, nil] id of the class that a stream belongs to; nil for boards, which outlive classes
        def sitting_id(name) = kind(name) == :board ? nil : id(name)
      end
    end
  end
end
