# frozen_string_literal: true

module Veranda
  module Preparing
    # Lessons as other calendars read them (iCalendar, RFC 5545; media type `text/calendar`). Each is an event of its own, in UTC, so that
    # nobody has to know our zones or rules; one that was called off says so.
    class Agenda
      # Bytes of a line before it is folded (RFC 5545, 3.1).
      LONGEST_LINE = 75
      # Days before today that a file reaches back.
      BACK = 60
      AHEAD = 340

      # @param lessons [Array<Hash>] see `CalendarLesson` in {Shapes::Answers}
      # @param address [String] where this Veranda is, `https://school.example`
      # @param name [String] what the file is called where it is subscribed to
      def initialize(lessons, address:, name:)
        @lessons = lessons
        @address = address
        @name = name
      end

      # @param now [Integer] ms since the epoch
      # @return [String] lines that end as the RFC asks
      def to_s(now:)
        lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Veranda//Lessons//EN', 'CALSCALE:GREGORIAN', 'METHOD:PUBLISH',
                 "X-WR-CALNAME:#{text(@name)}", *@lessons.flat_map { |lesson| event(lesson, now) }, 'END:VCALENDAR']
        lines.map { |line| "#{folded(line)}\r\n" }.join
      end

      private

      # The number of the last entry of its plan goes up with every change: so it tells which of two is the newer (3.8.7.4).
      def event(lesson, now)
        ends = lesson[:starts_at] + (lesson[:minutes] * 60_000)
        { BEGIN: 'VEVENT', UID: "#{lesson[:id]}@veranda", DTSTAMP: utc(now), SEQUENCE: lesson[:version],
          DTSTART: utc(lesson[:starts_at]), DTEND: utc(ends), SUMMARY: text(lesson[:title]), DESCRIPTION: text(about(lesson)),
          URL: "#{@address}/lessons/#{lesson[:id]}", STATUS: lesson[:cancelled] ? 'CANCELLED' : 'CONFIRMED', END: 'VEVENT' }
          .map { |name, value| "#{name}:#{value}" }
      end

      def about(lesson)
        host = " · taught by #{lesson[:host]}" if lesson[:role] == 'student' && lesson[:host]
        "#{lesson[:course]}#{host}\n#{@address}/lessons/#{lesson[:id]}/class"
      end

      def utc(at) = Time.at(at / 1000).utc.strftime('%Y%m%dT%H%M%SZ')

      # What divides values is escaped (3.3.11); no line can be begun by what somebody typed.
      def text(words) = words.gsub(/[\\;,]/) { |sign| "\\#{sign}" }.gsub(/\r\n|\r|\n/, '\n').gsub(/[[:cntrl:]]/, '')

      # No letter is cut in two.
      def folded(line)
        parts = [+'']
        line.each_char do |letter|
          parts << +' ' if parts.last.bytesize + letter.bytesize > LONGEST_LINE
          parts.last << letter
        end
        parts.join("\r\n")
      end
    end
  end
end
