# frozen_string_literal: true

require 'tempfile'

module Veranda
  module Workshop
    # Runs programs that open what strangers made: with limits on time, memory and files, with no network
    # where the machine allows that, with nothing of our own in their environment, and in a folder that is thrown away.
    #
    #   Tool.run('pdfinfo', 'in.pdf', dir: dir, seconds: 10) #=> "Pages: 3\n…"
    module Tool
      # The program said no.
      class Failed < StandardError; end
      # It was stopped, because it took too long.
      class TooLong < Failed; end

      GIGABYTE = 1024**3
      # A program and all that it starts end when whoever asked for it does. The word of that (prctl(2), PR_SET_PDEATHSIG) comes to one
      # process alone and is forgotten where it changes its rights, so that it comes last of all; timeout(1) passes it on to the whole
      # group, and stops the group by itself when its time is over, whatever became of us.
      GUARDED = %w[setpriv --pdeathsig TERM timeout --signal KILL --kill-after 1].freeze
      # s that we have to stop it ourselves before its own limit does.
      OURS_FIRST = 5
      private_constant :GUARDED, :OURS_FIRST

      module_function

      # @param command [Array<String>]
      # @param dir [String] folder to work in
      # @param seconds [Numeric] of the clock; of the processor twice as many
      # @param memory [Integer] bytes of address space
      # @param environment [Hash{String => String}] to be added to the little there is
      # @param errors [Boolean] whether a non-zero exit is an error
      # @return [String] what it printed on standard output
      # @raise [Failed, TooLong] with the first of what it printed on standard error
      def run(*command, dir:, seconds: 60, memory: 4 * GIGABYTE, environment: {}, errors: true)
        Tempfile.create('said') do |said|
          Tempfile.create('wrong') do |wrong|
            status = finish(start(command, dir, seconds, memory, environment, said, wrong), seconds)
            raise TooLong, "#{command.first} took longer than #{seconds} s" unless status
            raise Failed, File.read(wrong.path).scrub[0, 600] if errors && !status.success?

            File.read(said.path, encoding: Encoding::UTF_8).scrub
          end
        end
      end

      # Largest file that one may write whose work takes minutes.
      BIGGEST = 64 * GIGABYTE
      # Works only while nobody else wants the processor or the disk, and ends when whoever asked does.
      POLITE = %w[chrt -i 0 ionice -c 3 setpriv --pdeathsig KILL].freeze

      # Starts a program that works for minutes beside classes that go on, and after them. Whoever starts it waits for it, and stops it
      # with all that it started by its group.
      # @param wrong [String] path of a file for what it says goes wrong
      # @param narrow [Boolean] whether it is kept to one processor, so that another is always free of it
      # @return [Integer] id of the process and of its group
      def begin(*command, dir:, wrong:, memory: 4 * GIGABYTE, environment: {}, narrow: false)
        limits = ['prlimit', "--as=#{memory}", "--fsize=#{BIGGEST}", '--core=0', '--']
        limits += ['taskset', '-c', processors[/\d+\z/]] if narrow
        Process.spawn(plain(dir).merge(environment), *limits, *apart, *POLITE, *command, chdir: dir, unsetenv_others: true, pgroup: true,
                                                                                         in: '/dev/null', out: File::NULL, err: wrong)
      end

      def start(command, dir, seconds, memory, environment, said, wrong)
        limits = ['prlimit', "--as=#{memory}", "--cpu=#{(2 * seconds).ceil}", "--fsize=#{2 * GIGABYTE}", '--core=0', '--']
        guarded = [*GUARDED, (seconds + OURS_FIRST).ceil.to_s, *command]
        Process.spawn(plain(dir).merge(environment), *limits, *apart, *guarded, chdir: dir, unsetenv_others: true, pgroup: true,
                                                                                in: '/dev/null', out: said.path, err: wrong.path)
      end

      # Those that this process may use, such as `0-3,6`, see proc(5).
      def processors = File.read('/proc/self/status')[/^Cpus_allowed_list:\s*(\S+)$/, 1]
      private_class_method :processors

      def plain(dir)
        { 'PATH' => '/usr/bin:/bin', 'HOME' => dir, 'TMPDIR' => dir, 'LANG' => 'C.UTF-8', 'FONTCONFIG_FILE' => Fonts::PACKAGED }
      end
      private_class_method :plain
      private_class_method :start

      # A network of its own, with nothing in it. Some machines do not let one be made.
      def apart
        @apart ||= system('unshare', '-rn', 'true', out: File::NULL, err: File::NULL) ? %w[unshare -rn] : ['env']
      end
      private_class_method :apart

      # @return [Process::Status, nil] nil when it had to be stopped
      def finish(pid, seconds)
        ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
        pause = 0.005
        loop do
          _, status = Process.wait2(pid, Process::WNOHANG)
          return status if status
          break if Process.clock_gettime(Process::CLOCK_MONOTONIC) > ends

          sleep(pause)
          pause = [pause * 1.5, 0.1].min
        end
        Process.kill(:KILL, -pid)
        Process.wait(pid)
        nil
      end
      private_class_method :finish
    end
  end
end
