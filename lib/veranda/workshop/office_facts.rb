# frozen_string_literal: true

require 'nokogiri'
require 'zip'

module Veranda
  module Workshop
    # What an office document asks for: its fonts, and the slides on which something moves. It opens what strangers made, so it
    # runs in a limited program ({Limited}).
    class OfficeFacts
      # Names in OOXML that stand for the fonts of the theme.
      THEME = { '+mn-lt' => 'minorFont', '+mj-lt' => 'majorFont' }.freeze
      MOVEMENT = %w[anim animEffect animMotion animScale animRot animClr].freeze
      ODF_MOVEMENT = './/*[contains(namespace-uri(), "animation")]' \
                     '[starts-with(local-name(), "animate") or local-name()="transitionFilter"]'

      # @param path [String]
      # @param ending [String] see {Core::Materials::Kinds::OFFICE}
      def initialize(path, ending)
        @path = path
        @ending = ending
      end

      # @return [Hash] `{ fonts: [String], animated: [Integer] }`
      def to_h = { fonts: wanted_fonts, animated: animated }

      private

      def animated
        case @ending
        when 'pptx' then slide_parts.select { |_, part| moves?(part) }.map(&:first)
        when 'odp' then odp_pages.each_index.select { |i| odp_pages[i].xpath(ODF_MOVEMENT).any? }.map { |i| i + 1 }
        else []
        end
      end

      def part(name) = Zip::File.open(@path) { |zip| zip.find_entry(name)&.get_input_stream&.read }

      def parts(pattern)
        Zip::File.open(@path) { |zip| zip.glob(pattern).to_h { |entry| [entry.name, entry.get_input_stream.read] } }
      end

      def xml(text) = Nokogiri::XML(text) { |config| config.nonet.nocdata }

      def slide_parts
        parts('ppt/slides/slide*.xml').map { |name, text| [name[/\d+/].to_i, xml(text)] }.sort_by(&:first)
      end

      def moves?(slide)
        moving = slide.xpath('//*[local-name()="timing"]//*').any? { |element| MOVEMENT.include?(element.name) }
        moving || slide.xpath('//*[local-name()="transition"]').any?
      end

      def odp_pages
        @odp_pages ||= xml(part('content.xml')).xpath('//*[local-name()="page" and contains(namespace-uri(), "drawing")]').to_a
      end

      def wanted_fonts
        @wanted_fonts ||= (@ending.end_with?('x') ? ooxml_fonts : odf_fonts).map(&:strip).reject(&:empty?).uniq
      end

      # Fonts that slides, their masters and paragraphs ask for; themes name many more that nothing uses.
      def ooxml_fonts
        texts = parts('{ppt/slides,ppt/slideLayouts,ppt/slideMasters,word}/*.xml').values.map { |text| xml(text) }
        asked = texts.flat_map do |text|
          text.xpath('//*[local-name()="latin"]/@typeface | //*[local-name()="rFonts"]/@*[local-name()="ascii"]').map(&:value)
        end
        asked.uniq.flat_map { |font| THEME[font] ? theme_fonts.fetch(THEME[font], []) : [font] }
      end

      def theme_fonts
        theme = parts('{ppt,word}/theme/theme1.xml').values.first or return {}
        @theme_fonts ||= THEME.each_value.to_h do |name|
          [name, xml(theme).xpath("//*[local-name()='#{name}']/*[local-name()='latin']/@typeface").map(&:value)]
        end
      end

      # Styles name font faces, and faces name families.
      def odf_fonts
        content = xml(part('content.xml'))
        used = content.xpath('//*[local-name()="text-properties"]/@*[local-name()="font-name"]').map(&:value)
        content.xpath('//*[local-name()="font-face"]').select { |face| used.include?(face.xpath('@*[local-name()="name"]').text) }
               .map { |face| face.xpath('@*[local-name()="font-family"]').text.delete("'\"").split(',').first.to_s }
      end
    end
  end
end
