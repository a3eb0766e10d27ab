# frozen_string_literal: true

require 'set'

module Veranda
  module Core
    module Recordings
      # The one answer to "what may be seen of this?", for all that is ever given out of a recording: the player, exports and whatever is
      # searched ask here. It leaves out what was not recorded or was cut, what was written where it is blank, what was taken back, and
      # people who were left out; and calls people as the {Cast} does.
      class Shown
        # Kinds of entries that tell who came and went, and those that only count while they are seen or heard.
        PRESENCE = %w[joined seated out dropped left].freeze
        PASSING = %w[pointed posted spoke announced].freeze
        # What somebody did that others see the effect of though nothing is said of them.
        LASTING = %w[edited page_added laid taken_in prop_used shown].freeze
        # What follows when somebody took something that only one has at a time, and is left out.
        INSTEAD = { 'floor_lent' => ['floor_back', {}], 'screen_on' => ['screen_off', {}], 'made_large' => ['made_large', { person: nil }],
                    'addressed' => ['address_over', {}] }.freeze
        NOBODY = 'nobody'
        # Captions are told by themselves, as they were corrected, see {Captioned}.
        CAPTION = 'captioned'

        # @param recording [Recording]
        # @param cast [Cast]
        # @param people [Set<String>] who was there while it was recorded
        # @param posts [Hash{String => Hash}] all that was ever posted, by id, see {Exchange::Posts}
        # @param questions [Hash{String => Hash}] all that was ever asked, by id
        def initialize(recording, cast:, people:, posts: {}, questions: {})
          @recording = recording
          @edits = recording.edits
          @clock = recording.clock
          @cast = cast
          @people = people
          # Ids of those that are hidden: what was taken back in the end is so from its beginning.
          @posts = posts.each_value.reject { |post| recording.post?(post) }.to_set { |post| post[:id] }
          @questions = questions.each_value.reject { |question| question?(question) }.to_set { |question| question[:id] }
        end

        # @return [Boolean] whether somebody of whom there are marks was left out, so that boards have to be folded to be told
        def folds? = @edits.left_out.any?

        # @param stream [String]
        # @param state [Object] of the stream at a moment
        # @return [Hash] what is told of it
        def view(stream, state)
          @cast.clean(of_kind(Streams::StreamName.kind(stream), state))
        end

        # An entry, placed in the time of the recording. What changed while nothing was recorded is shown when the recording goes on;
        # what was only said or pointed at is not.
        # @param entry [Streams::Entry]
        # @param marks [MarksOfOthers, nil] of its board as it was before, where {#folds?}
        # @return [Hash, nil] nil when it is no part of the recording
        def entry(entry, marks: nil)
          body = marks ? marks.follow(entry) : entry.body
          return if body.nil? || passed?(entry) || hidden?(entry) || entry.kind == CAPTION

          kind, body = told(entry, body)
          body && { stream: entry.stream, seq: entry.seq, t: @clock.time(entry.at), at: entry.at, by: actor(entry), kind: kind, body: body }
        end

        # @return [Boolean]
        def left_out?(person) = @cast.left_out?(person)

        # @param value [Object] anything else of the class
        # @return [Object, nil]
        def clean(value) = @cast.clean(value)

        private

        # One that was asked before the recording began may be answered in it.
        def question?(question)
          !@recording.cut?(question[:at]) && !@edits.blank?(question[:at]) && !@cast.left_out?(question[:by])
        end

        def of_kind(kind, state)
          view = state.view
          case kind
          when :place then view.merge(captions: [], announced: view[:announced].select { |one| @clock.covers?(one[:at]) })
          when :sitting then view.merge(seats: view[:seats].select { |seat| @people.include?(seat[:id]) })
          when :exchange
            { **view, posts: state.posts.each_value.reject { |post| @posts.include?(post[:id]) },
                      pinned: view[:pinned].reject { |id| @posts.include?(id) } }
          when :questions
            { **view, questions: view[:questions].reject { |one| @questions.include?(one[:id]) },
                      now: (view[:now] unless @questions.include?(view[:now])) }
          else view
          end
        end

        def passed?(entry) = PASSING.include?(entry.kind) && !@clock.covers?(entry.at)

        # What is about a post or a question that is not shown.
        def hidden?(entry)
          case Streams::StreamName.kind(entry.stream)
          when :exchange then @posts.include?(entry.body[:id])
          when :questions then entry.kind != 'answering' && @questions.include?(entry.body[:id])
          end
        end

        # @return [Array(String, Hash), nil] kind and body
        def told(entry, body)
          body = asked(entry.kind, presence(entry, body)) or return
          return [entry.kind, body] unless @cast.any?

          @cast.left_out?(entry.actor) ? told_of_nobody(entry.kind, body) : told_of_others(entry.kind, body)
        end

        def told_of_nobody(kind, body)
          INSTEAD[kind] || (LASTING.include?(kind) ? told_of_others(kind, body.except(:author)) : nil)
        end

        def told_of_others(kind, body)
          return INSTEAD[kind] if INSTEAD.key?(kind) && @cast.left_out?(body[:person])

          cleaned = @cast.clean(body)
          [kind, cleaned] if cleaned
        end

        # Without what is about questions that are not shown.
        def asked(kind, body)
          case body && kind
          when 'answering' then @questions.include?(body[:id]) ? { id: nil } : body
          when 'votes_counted' then body.merge(votes: body[:votes].reject { |row| @questions.include?(row[:id]) })
          else body
          end
        end

        def actor(entry) = @cast.left_out?(entry.actor) ? NOBODY : @cast.id(entry.actor)

        # @return [Hash, nil] of who came and went only those who were there while it was recorded
        def presence(entry, body)
          return body unless PRESENCE.include?(entry.kind)
          return (body if @people.include?(entry.actor)) unless body[:people]

          id = ->(person) { person.is_a?(Hash) ? person[:id] : person }
          known = body[:people].select { |person| @people.include?(id.call(person)) }
          body.merge(people: known) if known.any?
        end
      end
    end
  end
end
