# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # A question written in one go, as one writes in the exchange: a line that begins with `?`, its options on the lines below. The
      # right ones begin with `=`.
      #
      # Quick.read("? Who gives way?\n= Red\nGreen") #=> { kind: 'one', text: 'Who gives way?', options: [{ id: 'a', text: 'Red' }, …], …
      # }
      #
      # Without options it asks for a short answer; with Yes and No alone, for that; with several right ones, to choose several.
      module Quick
        SIGN = '?'
        RIGHT = '='
        YES_NO = [%w[yes no], %w[no yes]].freeze

        module_function

        # @return [Boolean] whether what is written is meant as a question
        def meant?(text) = text.to_s.lstrip.start_with?(SIGN)

        # @param text [String]
        # @return [Hash] see {Question}
        # @raise [Refusal] `question_empty`, `too_many_options` and as {Question.sound!}
        def read(text)
          first, *lines = text.strip.delete_prefix(SIGN).lines.map(&:strip)
          lines = lines.reject(&:empty?)
          if lines.length > Question::MOST_OPTIONS
            raise Refusal.new(:too_many_options, "A poll has #{Question::MOST_OPTIONS} options at most.")
          end

          question(first.to_s, lines).tap { |asked| Question.sound!(asked) }
        end

        def question(text, lines)
          return { kind: 'short', text: text } if lines.empty?

          options = lines.zip('a'..).map { |line, id| { id: id, text: line.delete_prefix(RIGHT).strip } }
          right = options.zip(lines).filter_map { |option, line| option[:id] if line.start_with?(RIGHT) }
          return yes_no(text, options, right) if YES_NO.include?(options.map { |option| option[:text].downcase })

          { kind: right.length > 1 ? 'several' : 'one', text: text, options: options, **(right.any? ? { right: { options: right } } : {}) }
        end
        private_class_method :question

        def yes_no(text, options, right)
          words = options.select { |option| right.include?(option[:id]) }.map { |option| option[:text].downcase }
          { kind: 'yes_no', text: text, **(words.any? ? { right: { options: words } } : {}) }
        end
        private_class_method :yes_no
      end
    end
  end
end
