# frozen_string_literal: true

require 'base64'

module Veranda
  module Workshop
    module Film
      # Makes segments of a film in a program of its own, without a database or a network, out of what {Plan} has written down. A segment
      # that is there is not made again.
      class Reel
        # ms of a grid on which all pictures lie; never before what they show.
        GRID = 20
        # ms after which a picture is told again though nothing changed.
        STILL = 5_000
        # ms between two pictures in which something only moves on.
        MOVING = 100

        # @param plan [Hash] see {Plan}
        # @param folder [String]
        def initialize(plan, folder)
          @plan = plan
          @folder = folder
          @layout = Core::Films::Layout.new(**@plan[:layout])
          @frame = Frame.new(@layout, method(:picture))
          @playing = Core::Films::Playing.new(sitting: @plan[:sitting], told: @plan[:told],
                                              clock: Core::Recordings::Clock.new(@plan[:stretches]))
          @paths = @plan[:pictures].to_h { |row| [row.values_at(:material, :version, :slide), row] }
        end

        # @param numbers [Range<Integer>]
        def make(numbers)
          numbers.each { |number| segment(number) unless made?(number) }
        end

        private

        def made?(number) = @plan[:formats].all? { |format| File.exist?(Film.segment(@folder, number, format)) }

        def segment(number)
          from = number * Film::SEGMENT
          to = [from + Film::SEGMENT, @plan[:length]].min
          parts = @plan[:formats].to_h { |format| [format, "#{Film.segment(@folder, number, format)}.part"] }
          inlays = @plan[:inlays].select { |inlay| inlay[:from] < to && inlay[:to] > from }
          encode(Encoder.new(@layout, formats: @plan[:formats], inlays: inlays, from: from, to: to).command(parts)) do |pipe|
            out = RawFrames.new(pipe, w: Core::Films::Layout::WIDTH, h: Core::Films::Layout::HEIGHT)
            frames(from, to, inlays) { |time, bytes| out.write(time - from, bytes) }
          end
          parts.each { |format, part| File.rename(part, Film.segment(@folder, number, format)) }
        end

        def encode(command)
          IO.pipe(binmode: true) do |theirs, ours|
            ours.fcntl(Encoder::F_SETPIPE_SZ, Encoder::PIPE)
            Film.run(*command, in: theirs) do
              theirs.close
              yield ours
            rescue Errno::EPIPE
              # It has ended, and says why.
              nil
            ensure
              ours.close
            end
          end
        end

        # @yieldparam time [Integer] ms into the film
        # @yieldparam bytes [String]
        def frames(from, to, inlays)
          last = [from, from + ((to - from - GRID) / GRID * GRID)].max
          time, told, shown, bytes = from, nil, nil, nil
          loop do
            @playing.advance(time)
            seen = seen(time)
            changed = seen.signature != shown
            shown, bytes = seen.signature, @frame.draw(seen) if changed
            if changed || told.nil? || time - told >= STILL || time >= last || (moving?(time, inlays) && time - told >= MOVING)
              yield time, bytes
              told = time
            end
            break if time >= last

            time = following(time, told, inlays).clamp(time + GRID, last)
          end
        end

        # @return [Integer] the next moment at which the picture may be another
        def following(time, told, inlays)
          moving = @playing.moving&.then { |at| [at, told + MOVING].max }
          wanted = [@playing.following, moving, edge(time), told + STILL, (told + MOVING if moving?(told + MOVING, inlays))]
          (wanted.compact.min.to_f / GRID).ceil * GRID
        end

        def moving?(time, inlays) = inlays.any? { |inlay| inlay[:speed].positive? && time >= inlay[:from] && time < inlay[:to] }

        # @return [Integer, nil] when somebody comes into the picture next, or another thing is said
        def edge(time)
          @edges ||= %i[inlays names captions].flat_map { |name| @plan[name].flat_map { |row| row.values_at(:from, :to) } }.uniq.sort
          @edges.bsearch { |edge| edge > time }
        end

        def at(name, time) = @plan[name].find { |row| time >= row[:from] && time < row[:to] }

        def seen(time)
          page, version = poll || board
          Seen.new(page: page, version: version, says: says, names: at(:names, time)&.fetch(:names) || [],
                   pointer: (pointer(page) unless page.nil? || poll), caption: at(:captions, time)&.fetch(:words),
                   covered: @plan[:inlays].any? { |inlay| inlay[:place] == 'paper' && time >= inlay[:from] && time < inlay[:to] })
        end

        # @return [Array(Core::Films::Playing::Page, Integer), nil]
        def board = @playing.page&.then { |page| [page, @playing.version(page.board)] }

        def poll
          poll = @playing.poll or return
          @polls ||= {}.compare_by_identity
          drawn = @polls[poll.shown] ||= Core::Films::PollPage.of(poll)
          [Core::Films::Playing::Page.new('poll', drawn.pages.first, drawn, {}), drawn.object_id]
        end

        def says = @playing.place&.shown ? 'A board was on show that only staff see.' : 'No board was on show.'

        def pointer(page)
          place = @playing.pointer or return
          { x: place[:x], y: place[:y], name: page.state.authors[place[:by]].to_s.split.first }
        end

        # @return [String, nil] a picture as an address that carries it
        def picture(*slide)
          row = @paths[slide] or return
          "data:#{row[:type]};base64,#{Base64.strict_encode64(File.binread(row[:path]))}"
        rescue Errno::ENOENT
          nil
        end
      end
    end
  end
end
