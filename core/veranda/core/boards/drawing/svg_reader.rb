# frozen_string_literal: true

require 'json'
require 'rexml/document'

module Veranda
  module Core
    module Boards
      # Reads a page that {SvgWriter} wrote back into marks with authors, inks and locks.
      #
      #   page = SvgReader.new(text).call
      #   page.marks   #=> [{ id:, kind:, … }, …] bottom first
      #   page.facts   #=> { ground: {…} }, what is special about the page, or nil
      #   page.authors #=> { "farah" => "Farah Lindqvist" }
      #
      # Raises {Refusal} `not_a_board` for anything else, including documents with a DOCTYPE,
      # since entities are the way to make a small file unfold into a huge one.
      class SvgReader
        Page = Struct.new(:id, :facts, :marks, :authors, keyword_init: true)

        NUMBERS = %i[width size x y w h angle].freeze
        INTEGERS = %i[took at z version slide].freeze
        FLAGS = %i[locked fill].freeze

        # @param text [String]
        def initialize(text)
          @text = text
        end

        # @return [Page]
        def call
          root = parse.root
          raise not_a_board unless root&.name == 'svg' && root.attributes['v:page']

          groups = root.get_elements("g[@class='mark']")
          authors = groups.to_h { |group| [group.attributes['v:by'], group.attributes['v:author']] }
          Page.new(id: root.attributes['v:page'], facts: facts(root.attributes['v:facts']), marks: groups.map do |group|
            mark(group)
          end, authors: authors.compact)
        end

        private

        def parse
          raise not_a_board if @text.include?('<!DOCTYPE') || @text.include?('<!ENTITY')

          REXML::Document.new(@text)
        rescue REXML::ParseException, REXML::UndefinedNamespaceException
          raise not_a_board
        end

        def not_a_board
          Refusal.new(:not_a_board, 'This SVG was not written by Veranda, so it holds no marks to read.')
        end

        def mark(group)
          facts = SvgWriter::KEPT.to_h { |field| [field, value(field, group.attributes["v:#{field}"])] }
          facts[:text] = written(group)
          facts[:points] = points(group)
          facts.compact
        end

        def value(field, text)
          return if text.nil?
          return text == 'true' if FLAGS.include?(field)
          return text.to_i if INTEGERS.include?(field)
          return nested(text) if SvgWriter::NESTED.include?(field)

          NUMBERS.include?(field) ? number(text) : text
        end

        # @raise [Refusal] unless it says something of the page
        def facts(text)
          found = nested(text)
          found.nil? || found.is_a?(Hash) ? found : raise(not_a_board)
        end

        def nested(text)
          text && JSON.parse(text, symbolize_names: true)
        rescue JSON::ParserError
          raise not_a_board
        end

        def points(group)
          path = group.get_elements('path').first
          path && path.attributes['v:points']&.split&.map { |text| number(text) }
        end

        def written(group)
          desc = group.get_elements('desc')[0]
          desc && desc.text.to_s
        end

        def number(text) = text.match?(/[.e]/) ? text.to_f : text.to_i
      end
    end
  end
end
