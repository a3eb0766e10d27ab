# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # What is missing or doubtful before a class, each with the place to mend it.
      #
      #   Readiness.of(lesson, now: ms) #=> [{ code: :too_long, says: "…", step: nil, … }]
      #
      # A finding may name the `step`, the `board` with its `page` and `mark`, or the `material` it is about.
      module Readiness
        # Width of the paper in class on a laptop of 1280×800, in px, and the smallest letters
        # that can be read there.
        PAPER_ON_LAPTOP = 760
        SMALLEST = 14
        # More findings of one kind than this are told as one.
        MOST_EACH = 5

        module_function

        # @param lesson [Hash] `:steps`, `:minutes`, `:record_from`, `:starts_at` (ms)
        # @param now [Integer] ms since the epoch
        # @param boards [Hash{String => Boards::Board}] the lesson's boards by id
        # @param names [Hash{String => String}] their names
        # @param materials [Array<Hash>] on those boards or steps: `{ id:, title:, state:, findings:, newer: }`
        # @param tones [#call] the colours under a slide, see {Legibility}
        # @param people [Array<Hash>] who is expected: `{ id:, name:, role:, address: }`
        # @param staff_only [Array<String>] ids of boards that students cannot see
        # @return [Array<Hash>] empty when all is well
        def of(lesson, now:, boards: {}, names: {}, materials: [], tones: nil, people: [], staff_only: [])
          return [finding(:no_steps, 'The run sheet is empty.')] if lesson[:steps].empty?

          [too_long(lesson), *steps_without_board(lesson), *empty_boards(lesson, boards, names), *unseen_boards(lesson, names, staff_only),
           *materials_failed(materials), *rooms(lesson, people), *polls(lesson), *clips(lesson),
           *letters(boards, names, tones), *people_without_address(people), past(lesson, now), recording_off(lesson)].compact
        end

        def too_long(lesson)
          sheet = RunSheet.new(lesson[:steps], starts_at: lesson[:starts_at], minutes: lesson[:minutes])
          finding(:too_long, "#{sheet.total} min planned, #{lesson[:minutes]} there.") if sheet.over.positive?
        end
        private_class_method :too_long

        def steps_without_board(lesson)
          lesson[:steps].reject { |step| step[:board] || step[:material] }.map do |step|
            finding(:no_board, "“#{step[:title]}” shows no board.", step: step[:id])
          end
        end
        private_class_method :steps_without_board

        # A board that is drawn on in class may be empty before it; one on which nobody may draw should not be.
        def empty_boards(lesson, boards, names)
          lesson[:steps].select { |step| step[:rules] && !step[:rules][:draw] && bare?(boards[step[:board]]) }.map do |step|
            finding(:empty_board, "Nobody draws in “#{step[:title]}”, and its board “#{names[step[:board]]}” is empty.",
                    step: step[:id], board: step[:board])
          end
        end
        private_class_method :empty_boards

        # What a step or cue would put on show must be for everyone.
        def unseen_boards(lesson, names, staff_only)
          lesson[:steps].flat_map do |step|
            shown = [step[:board], *(step[:cues] || []).map { |cue| cue[:board] }] & staff_only
            shown.map do |board|
              finding(:staff_board, "“#{step[:title]}” would show “#{names[board]}”, which not everyone may see.", step: step[:id],
                                                                                                                   board: board)
            end
          end
        end
        private_class_method :unseen_boards

        # Group plans that do not suit the roster or their step.
        def rooms(lesson, people)
          students = people.reject { |person| Person::STAFF.include?(person[:role]) }
          lesson[:steps].flat_map do |step|
            cues = (step[:cues] || []).select { |cue| cue[:kind] == 'rooms' && cue[:plan] }
            cues.flat_map { |cue| Rooms::Prepared.doubts(step, cue, students) }.map { |code, says| finding(code, says, step: step[:id]) }
          end
        end
        private_class_method :rooms

        # Polls that could not be answered, or that are hard to.
        def polls(lesson)
          lesson[:steps].flat_map do |step|
            (step[:cues] || []).flat_map { |cue| Cues.polls(cue) }.flat_map do |poll|
              question = poll[:question]
              Polls::Doubts.of(question).map { |doubt| finding(:poll_doubtful, "#{called(question, step)}: #{doubt[:says]}", step: step[:id]) }
            end
          end
        end
        private_class_method :polls

        # Cues that play nothing yet.
        def clips(lesson)
          empty = lesson[:steps].select { |step| (step[:cues] || []).any? { |cue| cue[:kind] == 'clip' && cue[:material].nil? } }
          empty.map { |step| finding(:clip_not_chosen, "A cue of “#{step[:title]}” plays nothing yet. Choose a clip.", step: step[:id]) }
        end
        private_class_method :clips

        def called(question, step) = question[:text].strip.empty? ? "A poll in “#{step[:title]}”" : "“#{question[:text][0, 40]}”"
        private_class_method :called

        def bare?(board) = board && board.marks.empty? && board.page_facts.empty?
        private_class_method :bare?

        def materials_failed(materials)
          materials.filter_map do |material|
            case material[:state]
            when 'failed' then finding(:material_failed, "“#{material[:title]}” could not be made into slides.",
                                       material: material[:id])
            when 'waiting', 'working' then finding(:material_waiting, "“#{material[:title]}” is still being worked on.",
                                                   material: material[:id])
            else
              doubtful = material[:findings].map do |one|
                one[:code].to_s
              end & %w[damaged font_missing empty_slides animation_dropped]
              if material[:newer] == 'failed'
                next finding(:material_failed, "The newer version of “#{material[:title]}” could not be opened.",
                             material: material[:id])
              end

              if doubtful.any?
                finding(:material_doubtful, "“#{material[:title]}” may not look as you made it.",
                        material: material[:id])
              end
            end
          end
        end
        private_class_method :materials_failed

        def letters(boards, names, tones)
          found = boards.flat_map do |id, board|
            Legibility.of(board, tones: tones).map { |doubt| letter_finding(doubt, id, names[id]) }
          end
          found.group_by { |one| one[:code] }.each_value.flat_map { |same| few(same) }
        end
        private_class_method :letters

        def letter_finding(doubt, board, name)
          what = doubt[:words].length > 24 ? "#{doubt[:words][0, 22]}…" : doubt[:words]
          says = if doubt[:code] == :small_text then "“#{what}” is #{doubt[:px]} px on a laptop."
                 else "“#{what}” has a contrast of #{doubt[:contrast]}:1 on what lies beneath."
                 end
          finding(doubt[:code], "#{says[..-2]} (#{name}).", board: board, page: doubt[:page], mark: doubt[:mark])
        end
        private_class_method :letter_finding

        def few(same)
          return same if same.length <= MOST_EACH

          rest = same.drop(MOST_EACH - 1)
          how = rest.first[:code] == :small_text ? 'small' : 'faint'
          same.take(MOST_EACH - 1) << rest.first.merge(says: "#{rest.length} more texts are as #{how}.")
        end
        private_class_method :few

        def people_without_address(people)
          students = people.reject { |person| Person::STAFF.include?(person[:role]) }
          without = students.reject { |person| person[:address] }.map { |person| person[:name].split.first }
          return [] if without.empty?
          return [finding(:no_address, "#{without.length} students have no address for the invitation.")] if without.length > 3

          without.map { |name| finding(:no_address, "#{name} has no address.") }
        end
        private_class_method :people_without_address

        def past(lesson, now)
          return unless lesson[:starts_at] + lesson[:minutes] * 60_000 < now

          finding(:past, 'This class was planned for a time that has passed.')
        end
        private_class_method :past

        def recording_off(lesson)
          cued = lesson[:steps].any? { |step| (step[:cues] || []).any? { |cue| cue[:kind] == 'record' } }
          finding(:recording_off, 'Recording will not start by itself.') if lesson[:record_from].nil? && !cued
        end
        private_class_method :recording_off

        def finding(code, says, **place)
          { code: code, says: says, step: nil, board: nil, page: nil, mark: nil, material: nil }.merge(place)
        end
        private_class_method :finding
      end
    end
  end
end
