# frozen_string_literal: true

module Veranda
  module Core
    module Materials
      # What an instructor has to know of a material before class, from what the workshop saw in it.
      #
      #   Findings.of(size: 30_000_000, slides: 12, …) #=> [{ code: :large, says: "…" }]
      module Findings
        module_function

        # @param seen [Hash] any of `size:` (bytes), `slides:`, `fonts:` (`{ wanted name => name of what stands in }`),
        #   `empty:` and `animated:` (slide numbers), `saved:` (slides that a damaged file still gave), `promised:` (slides it
        #   should have had, if known), `hidden:` (slide numbers), `dropped:` (words for parts that were taken out)
        # @return [Array<Hash>] `{ code:, says: }`
        def of(seen)
          [damage(seen), *fonts(seen), animation(seen), empty(seen), dropped(seen), large(seen), many(seen)].compact
        end

        # @param code [Symbol]
        # @return [Hash] why nothing could be made of a file
        def failure(code, **more)
          { code: code, says: format(FAILURES.fetch(code), **more) }
        end

        FAILURES = {
          encrypted: 'This file is locked with a password. It is kept. Save it without the password and upload that.',
          damaged: 'This file is damaged and no slide could be read. It is kept. Save it again and upload that.',
          old_format: 'This is the older form of an office file. It is kept. Save it as PPTX, DOCX or PDF and upload that.',
          too_many_points: 'This picture has %<points>s million points; up to %<most>s million can be shown. It is kept. ' \
                           'Save it smaller and upload that.',
          too_much_inside: 'This file unpacks to more than %<most>s MB and was not opened. It was not kept.',
          too_long: 'This file took too long to open. It is kept. Split it, or save it as PDF and upload that.',
          no_room: 'There was no room left on the disk of the server for its slides. It is kept. Make room there, then upload it again.',
          nothing_inside: 'There is no picture, sound or text in this file that could be shown. It is kept.',
          fault: 'This file could not be opened here. It is kept. Save it again, or as PDF, and upload that.'
        }.freeze

        def damage(seen)
          saved = seen[:saved] or return
          promised = seen[:promised]
          says = if promised && promised > saved then "after slide #{saved}. Slides 1–#{saved} are on the shelf."
                 elsif saved == 1 then '. The slide that could be read is on the shelf.'
                 else ". The #{saved} slides that could be read are on the shelf."
                 end
          says = "This file is damaged #{says}".sub('damaged .', 'damaged.')
          { code: :damaged, says: "#{says} Save it again and upload that." }
        end
        private_class_method :damage

        def fonts(seen)
          (seen[:fonts] || {}).map do |wanted, instead|
            stands = instead ? "#{instead} stands in" : 'another stands in'
            { code: :font_missing,
              says: "The font #{wanted} is not here; #{stands}. Look whether lines still end where you want, or upload a PDF." }
          end
        end
        private_class_method :fonts

        def animation(seen)
          slides = seen[:animated] || []
          return if slides.empty?

          { code: :animation_dropped, says: "Movement on #{slides_named(slides)} is not shown; everything appears at once." }
        end
        private_class_method :animation

        def empty(seen)
          slides = seen[:empty] || []
          return if slides.empty?

          { code: :empty_slides, says: "#{slides_named(slides, start: true)} #{slides.length == 1 ? 'shows' : 'show'} nothing." }
        end
        private_class_method :empty

        def dropped(seen)
          parts = seen[:dropped] || []
          return if parts.empty?

          { code: :cleaned,
            says: "#{parts.join(', ').capitalize} in this picture #{parts.length == 1 ? 'was' : 'were'} taken out for safety." }
        end
        private_class_method :dropped

        def large(seen)
          return unless seen[:size] && seen[:size] > Limits::LARGE

          seconds = seen[:size].fdiv(Limits::WEAK_BYTES_PER_SECOND).round
          { code: :large, says: "This file has #{seen[:size] / Limits::MEGABYTE} MB, which takes #{seconds} s on a weak connection (10 Mbit/s)." }
        end
        private_class_method :large

        def many(seen)
          return unless seen[:slides] && seen[:slides] > Limits::MANY_SLIDES

          left = " The first #{Limits::MOST_SLIDES} are on the shelf; split the file for the rest." if seen[:slides] > Limits::MOST_SLIDES
          { code: :many_slides, says: "This file has #{seen[:slides]} slides.#{left}" }
        end
        private_class_method :many

        # "slide 3", "slides 3 and 5", "slides 1–4 and 9"
        def slides_named(numbers, start: false)
          runs = numbers.sort.slice_when { |one, other| other > one + 1 }
                        .flat_map { |run| run.length > 2 ? ["#{run.first}–#{run.last}"] : run }
          list = runs.length > 1 ? "#{runs[..-2].join(', ')} and #{runs.last}" : runs.first
          word = numbers.length == 1 ? 'slide' : 'slides'
          "#{start ? word.capitalize : word} #{list}"
        end
        private_class_method :slides_named
      end
    end
  end
end
