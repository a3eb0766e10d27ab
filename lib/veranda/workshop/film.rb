# frozen_string_literal: true

require 'json'
require 'tempfile'

module Veranda
  module Workshop
    # Films of recorded classes, as `docs/films.md` tells.
    module Film
      # What is in the picture at a moment.
      #
      # @!attribute page [Core::Films::Playing::Page, nil] the page on show
      # @!attribute version [Object] another one once anything on it is different
      # @!attribute pointer [Hash, nil] `{ x:, y:, name: }`
      # @!attribute covered [Boolean] whether a moving picture lies over the paper
      # @!attribute says [String] what stands there when there is no page
      # @!attribute names [Array<String, nil>] of whoever is seen, by slot
      # @!attribute caption [String, nil]
      Seen = Struct.new(:page, :version, :pointer, :covered, :says, :names, :caption, keyword_init: true) do
        # @return [Array] equal for two moments that look the same
        def signature
          [page && !covered ? [page.board, page.page, version, looks] : says, pointer, covered, names, caption]
        end

        # Of what moves by itself: how much of a stroke is there, which second a timer says.
        def looks = page.moving.map { |id, mark| [id, mark[:points]&.length || (mark[:shows][:left] / 1000.0).ceil] }
      end

      # ms of one segment: what is made again at most when the work is cut off.
      SEGMENT = 20_000

      module_function

      # Does one part of the work by itself; takes the path of the plan, and what to do, from the command line.
      def main
        path, job, *arguments = ARGV
        plan = JSON.parse(File.read(path), symbolize_names: true)
        folder = File.dirname(path)
        case job
        when 'reel' then Reel.new(plan, folder).make(Range.new(*arguments.map(&:to_i)))
        when 'sound' then Sound.new(plan, folder).make
        when 'join' then Join.new(plan, folder).make(arguments.first)
        end
      end

      # Runs a program to its end. One that could not write all says so and nothing else.
      # @param command [Array<String>]
      # @param options [Hash] see `Process.spawn`
      # @yield while it runs
      # @raise [Tool::Failed]
      def run(*command, **options)
        Tempfile.create('said') do |said|
          pid = Process.spawn(*command, **options, err: said.path)
          yield if block_given?
          _, status = Process.wait2(pid)
          wrong = File.read(said.path).scrub
          raise Tool::Failed, "#{command.first} failed: #{wrong[-WORDS..] || wrong}" if !status.success? || wrong.match?(NoRoom::WORDS)
        end
      end

      # Letters of what went wrong that are told.
      WORDS = 400

      # @return [String] path of a segment
      def segment(folder, number, ending) = File.join(folder, format('%05d.%s', number, ending))

      # @return [String] path of the sound of a film
      def sound(folder, ending) = File.join(folder, "sound.#{ending}")

      # @param length [Integer] ms of the film
      # @return [Array<Array(Integer, Integer, Integer)>] number, from and to in ms
      def segments(length)
        (0..((length - 1) / SEGMENT)).map { |number| [number, number * SEGMENT, [(number + 1) * SEGMENT, length].min] }
      end
    end
  end
end
