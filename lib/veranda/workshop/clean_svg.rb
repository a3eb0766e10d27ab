# frozen_string_literal: true

require 'nokogiri'

module Veranda
  module Workshop
    # Makes an SVG from elsewhere safe to show: only elements and attributes that draw are left, and nothing in
    # it reaches out to the network or to other files.
    #
    #   CleanSvg.call(text).text    #=> "<svg …>"
    #   CleanSvg.call(text).dropped #=> ["scripts", "links to other places"]
    module CleanSvg
      class NotSvg < StandardError; end
      Clean = Struct.new(:text, :w, :h, :words, :dropped, keyword_init: true)

      ELEMENTS = %w[
        svg g defs symbol use title desc path rect circle ellipse line polyline polygon text tspan textPath image a
        linearGradient radialGradient stop pattern clipPath mask marker filter feBlend feColorMatrix feComponentTransfer
        feComposite feConvolveMatrix feDiffuseLighting feDisplacementMap feDistantLight feDropShadow feFlood feFuncA feFuncB
        feFuncG feFuncR feGaussianBlur feMerge feMergeNode feMorphology feOffset fePointLight feSpecularLighting feSpotLight
        feTile feTurbulence style switch
      ].freeze
      # Pictures may only be inside the file itself.
      EMBEDDED = %r{\Adata:image/(png|jpeg|gif|webp);base64,}
      REACHES_OUT = /@import|url\(\s*['"]?\s*(?!\s*['"]?\s*(#|data:image))|expression\s*\(|javascript:|behavior\s*:|image-set|src\s*\(/i
      # Ways to write the same so that it is not seen.
      ESCAPED = %r{/\*.*?\*/|\\}m
      MOST_ELEMENTS = 50_000

      module_function

      # @param text [String]
      # @return [Clean]
      # @raise [NotSvg]
      def call(text)
        raise NotSvg if text.match?(/<!ENTITY/i)

        text = text.delete("\0")

        # Marked sections are taken as the text they are, so that nothing can hide in one.
        document = Nokogiri::XML(text) { |config| config.nonet.nocdata }
        root = document.root
        raise NotSvg unless root&.name == 'svg' && document.xpath('count(//*)') <= MOST_ELEMENTS

        dropped = []
        document.internal_subset&.remove
        document.xpath('//processing-instruction()|//comment()').each(&:remove)
        document.xpath('//*').reverse_each { |element| clean(element, dropped) }
        w, h = size(root)
        root['width'], root['height'] = w.to_s, h.to_s
        Clean.new(text: root.to_xml, w: w, h: h, words: document.xpath('//*[local-name()="text"]').map(&:text).join("\n").strip,
                  dropped: dropped.uniq)
      end

      def clean(element, dropped)
        unless ELEMENTS.include?(element.name)
          dropped << (element.name == 'script' ? 'scripts' : 'parts that are no drawing')
          return element.remove
        end
        if element.name == 'style' && reaches_out?(element.text)
          dropped << 'links to other places'
          return element.remove
        end
        element.attribute_nodes.each { |attribute| clean_attribute(element, attribute, dropped) }
      end
      private_class_method :clean

      # Comments and escapes draw nothing that plain letters could not.
      def reaches_out?(text) = text.match?(ESCAPED) || text.match?(REACHES_OUT)
      private_class_method :reaches_out?

      def clean_attribute(element, attribute, dropped)
        if attribute.node_name.downcase.start_with?('on')
          dropped << 'scripts'
          attribute.remove
        elsif attribute.node_name == 'href'
          return if attribute.value.start_with?('#') || (element.name == 'image' && attribute.value.match?(EMBEDDED))

          dropped << 'links to other places'
          attribute.remove
        elsif reaches_out?(attribute.value)
          dropped << 'links to other places'
          attribute.remove
        end
      end
      private_class_method :clean_attribute

      # @return [Array(Integer, Integer)] px, as it says itself, else as its view box does, else as SVG has it for those that say nothing
      def size(root)
        said = [root['width'], root['height']].map { |value| value.to_s[/\A[\d.]+(?=(px)?\z)/]&.to_f }
        box = root['viewBox'].to_s.split(/[\s,]+/).drop(2).map { |part| Float(part, exception: false) }
        found = [said, box].find { |pair| extent?(pair) } || [300.0, 150.0]
        root['viewBox'] ||= "0 0 #{found.join(' ')}"
        found.map { |value| value.round.clamp(1, 20_000) }
      end
      private_class_method :size

      def extent?(pair) = pair.length == 2 && pair.all? { |value| value&.positive? }
      private_class_method :extent?
    end
  end
end
