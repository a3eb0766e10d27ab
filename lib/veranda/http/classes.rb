# frozen_string_literal: true

module Veranda
  module Http
    # Makes a lesson's class ready to be entered: set up, and planned as the lesson stands now.
    class Classes
      def initialize(archive)
        @archive = archive
      end

      # @param lesson [Hash]
      # @param again [Boolean] whether an ended class is followed by a new one
      # @return [String] id of the class
      def ready(lesson, again: false) = planned(@archive.sittings.current(lesson[:id], again: again))

      # @return [String] id of a class to practise in
      def rehearsal(lesson) = planned(@archive.sittings.rehearsal(lesson[:id]))

      private

      def planned(sitting)
        stream = Core::Streams::StreamName.sitting(sitting[:id])
        return sitting[:id] unless @archive.sittings.state(sitting[:id]).status == 'planned'

        order = Store::Order.of('class.plan', @archive.sittings.plan(sitting), stream: stream, by: SERVER)
        at = Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond)
        Store::Performer.new(@archive.log).perform([order], at: at)
        sitting[:id]
      end

      SERVER = Core::Person.new(id: 'server', name: 'Veranda', role: 'instructor').freeze
      private_constant :SERVER
    end
  end
end
