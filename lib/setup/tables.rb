# frozen_string_literal: true

# Writes `docs/tables.md`: what can be read off the code, so that it stays true. `spec/http/tables_spec.rb` holds it to that.
#   bundle exec ruby lib/setup/tables.rb >docs/tables.md

require_relative '../veranda'

module Setup
  # Commands, rights and codes of refusals, as Markdown.
  module Tables
    # Where a refusal is raised, or a code of one is listed with its sentence.
    REFUSAL = /(?:Refusal\.new|refuse|grave|doubt)\(\s*:(\w+),\s*(?:"((?:[^"\\]|\\.)*)"|'((?:[^'\\]|\\.)*)')/m
    CODE = /code: :(\w+), says: '([^']*)'/

    module_function

    # @return [String]
    def text
      <<~MARKDOWN
        # Tables made of the code

        `lib/setup/tables.rb` writes this page; whatever is changed here by hand is written over.

        ## Commands

        Each is given on a stream of its home. Those of the last column only the server gives, for what it saw or what was asked for over HTTP.

        | home | commands | the server alone |
        |---|---|---|
        #{commands.join("\n")}

        ## Rights

        | right | you may … | at first |
        |---|---|---|
        #{rights.join("\n")}

        ## Codes of refusals

        What is said may name what it is about; `…` stands for that. Several sentences of one code are told apart by where they are said.

        | code | says |
        |---|---|
        #{codes.join("\n")}
      MARKDOWN
    end

    def commands
      all = Veranda::Core::Commands::ALL.group_by(&:stream_kind)
      all.map do |home, some|
        own, given = some.partition { |command| Veranda::Core::Commands::INTERNAL.include?(command) }.map { |part| part.map { |one| "`#{one.wire_name}`" }.join(' ') }
        "| `#{home}` | #{given} | #{own} |"
      end
    end

    def rights
      Veranda::Core::Rights::RIGHTS.map do |right, words|
        "| `#{right}` | #{words} | #{Veranda::Core::Rights::HouseRules::DEFAULT.fetch(right) ? 'yes' : 'no'} |"
      end
    end

    def codes
      found = sources.flat_map { |text| text.scan(REFUSAL).map { |code, one, other| [code, one || other] } + text.scan(CODE) }
      found += sources.flat_map { |text| text.scan(/Refusal\.new\(:(\w+), (?!['"\s])/).flatten.map { |code| [code, ''] } }
      found.group_by(&:first).sort.map do |code, rows|
        "| `#{code}` | #{rows.map { |_, says| plain(says) }.reject(&:empty?).uniq.first(3).join(' · ')} |"
      end
    end

    def sources
      Dir[File.join(Veranda::ROOT, '{core,lib/veranda}/**/*.rb')].map do |file|
        code = File.readlines(file).reject { |line| line.strip.start_with?('#') }.join
        code.gsub(/(['"]) \\\n\s*\1/, '')
      end
    end

    def plain(says) = says.gsub(/\#\{(?:[^{}]|\{[^{}]*\})*\}/, '…').gsub('\\\'', '’').gsub('|', '\\|')
  end
end

puts Setup::Tables.text if $PROGRAM_NAME == __FILE__
