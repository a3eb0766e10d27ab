# frozen_string_literal: true

# How long specs wait for what should come. Machines are shared and stand still for many seconds at times; what comes in time is
# not waited for, so patience costs nothing but where something is broken.
module Patience
  SECONDS = 120
  # Films are made with what the machine has to spare, which is nothing for minutes while other specs run beside.
  FILMS = 400

  # Waits until the block is true.
  # @param what [String] what should come to pass, for whoever reads of it that it did not
  # @param said [#call, nil] what else is told then
  def until_true(what, within: SECONDS, said: nil)
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + within
    until yield
      raise ["It did not come to this: #{what}", said&.call.inspect].compact.join(' ') if Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

      sleep 0.05
    end
  end
end
