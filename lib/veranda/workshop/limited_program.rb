# frozen_string_literal: true

require 'json'

module Veranda
  module Workshop
    # The other side of {Limited}: runs by itself, opens one file that a stranger made, and says as JSON what is in it.
    module LimitedProgram
      KNOWN = [CleanSvg::NotSvg, ZipGuard::TooMuch, ZipGuard::Damaged].freeze

      module_function

      # Takes the name of what to do and the path of its arguments from the command line.
      def main
        name, asked = ARGV
        arguments = JSON.parse(File.read(asked), symbolize_names: true)
        puts JSON.generate(public_send(name, **arguments))
      rescue Core::Refusal => e
        puts JSON.generate(error: 'Refusal', code: e.code, says: e.says)
      rescue *KNOWN => e
        puts JSON.generate(error: e.class.name[/\w+\z/], says: e.message)
      end

      # @return [Hash] `{ w:, h:, words:, dropped: }`; the clean SVG is in the file `to`
      def clean_svg(path:, to:)
        clean = CleanSvg.call(File.read(path, encoding: Encoding::UTF_8).scrub)
        File.write(to, clean.text)
        clean.to_h.except(:text)
      end

      # @return [Hash] `{ saved: Integer or nil }`
      def save_pages(path:, to:) = { saved: SavePages.call(path, to) }

      # @return [Hash] `{ fonts:, animated: }`
      def office_facts(path:, ending:) = OfficeFacts.new(path, ending).to_h

      # @return [Hash] `{ names: [String] }`
      def check_zip(path:) = { names: ZipGuard.check!(path) }

      # @return [Hash] empty; the PDF is in the file `to`
      def lay_beneath(drawn:, beneath:, to:)
        SlidesBeneath.new(drawn, beneath.map { |one| one && SlidesBeneath::Beneath.new(**one) }).write(to)
        {}
      end

      # @return [Hash] see {RecordingParts#call}
      def recording_parts(path:, to:) = RecordingParts.new(path, to).call

      # @return [Hash] see {LessonParts#call}
      def lesson_parts(path:, to:) = LessonParts.new(path, to).call
    end
  end
end
