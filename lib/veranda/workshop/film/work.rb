# frozen_string_literal: true

require 'English'
require 'fileutils'
require 'json'

module Veranda
  module Workshop
    module Film
      # Makes a film in a folder, segment by segment and several at once, with its sound beside. What is there when it is cut off is not
      # made again, unless the plan is another one.
      class Work
        # Somebody threw away what is being made, or the worker is to stop.
        class Stopped < StandardError; end

        # Segments that one program makes before it is looked again how many may work.
        AT_ONCE = 6
        # s between looking after those who work, and after which they are given up when nothing has got done: a class may need the
        # machine for itself for long.
        LOOK = 0.2
        STUCK = 3 * 3_600
        PROGRAM = [RbConfig.ruby, '-r', File.join(ROOT, 'lib/veranda.rb'), '-e', 'Veranda::Workshop::Film.main'].freeze
        PART = '*.part'
        # Frames take up the room of those before them. Otherwise each comes from the kernel page by page and goes back to it, and for that
        # all processors are interrupted, those that a class works on among them (mallopt(3), M_MMAP_THRESHOLD and M_TRIM_THRESHOLD).
        KEEPING = { 'MALLOC_ARENA_MAX' => '1', 'MALLOC_MMAP_THRESHOLD_' => (32 << 20).to_s,
                    'MALLOC_TRIM_THRESHOLD_' => (256 << 20).to_s }.freeze

        # @param folder [String] that this film alone is made in
        # @param fonts [Hash] environment, see {Fonts}
        # @param lanes [#call] how many may work at once just now
        # @param told [#call] is told the share that is done, now and then; answers whether to go on
        def initialize(folder, fonts:, lanes:, told:)
          @folder = folder
          @fonts = fonts
          @lanes = lanes
          @told = told
          @running = {}
        end

        # @param plan [Hash] see {Plan}
        # @return [Hash{String => String}] paths of films by format
        # @raise [Stopped, Tool::Failed]
        def call(plan)
          prepare(JSON.generate(plan))
          @plan = plan
          @sound = Sound.new(plan, @folder)
          work_off([*([%w[sound]] unless @sound.made?), *reels])
          plan[:formats].to_h do |format|
            join = Join.new(plan, @folder)
            work_off([['join', format]]) unless File.exist?(join.path(format))
            [format, join.path(format)]
          end
        ensure
          stop
        end

        private

        def path = File.join(@folder, 'plan.json')

        def prepare(text)
          return if File.exist?(path) && File.read(path) == text

          FileUtils.rm_rf(@folder)
          FileUtils.mkdir_p(@folder)
          File.write("#{path}.new", text)
          File.rename("#{path}.new", path)
        end

        def missing
          Film.segments(@plan[:length]).map(&:first).reject do |number|
            @plan[:formats].all? do |one|
              File.exist?(Film.segment(@folder, number, one))
            end
          end
        end

        # @return [Array<Array<String>>] what {Film.main} is asked for
        def reels
          missing.slice_when { |one, other| other != one + 1 }.flat_map { |row| row.each_slice(AT_ONCE).to_a }
                 .map { |row| ['reel', *row.values_at(0, -1).map(&:to_s)] }
        end

        # @param jobs [Array<Array<String>>]
        def work_off(jobs)
          until jobs.empty? && @running.empty?
            begin_one(jobs.shift) while jobs.any? && @running.length < @lanes.call
            sleep(LOOK)
            raise Stopped unless @told.call(share)

            moved!

            @running.each_key.select { |pid| Process.wait(pid, Process::WNOHANG) && ended(pid, $CHILD_STATUS) }
          end
        end

        # @raise [Tool::TooLong]
        def moved!
          now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          @share, @moved_at = share, now unless @share == share
          raise Tool::TooLong, 'Nothing got done any more.' if now - @moved_at > STUCK
        end

        def begin_one(job)
          wrong = File.join(@folder, "said-#{job.join('-')}.txt")
          environment = { 'RUBYLIB' => $LOAD_PATH.join(':'), **KEEPING, **@fonts }
          pid = Tool.begin(*PROGRAM, path, *job, dir: @folder, wrong: wrong, environment: environment, narrow: @lanes.call == 1)
          @running[pid] = wrong
        end

        def ended(pid, status)
          wrong = @running.delete(pid)
          raise Tool::Failed, File.read(wrong).scrub[0, 600] unless status.success?
        end

        # What is left to do after picture and sound is little.
        def share
          all = Film.segments(@plan[:length]).length
          (all - missing.length + (@sound.made? ? 1 : 0)) / (all + 2.0)
        end

        def stop
          @running.each_key do |pid|
            Process.kill(:TERM, -pid)
            Process.wait(pid)
          rescue Errno::ESRCH, Errno::ECHILD
            nil
          end
          Dir.glob(File.join(@folder, PART)).each { |part| FileUtils.rm_f(part) }
        end
      end
    end
  end
end
