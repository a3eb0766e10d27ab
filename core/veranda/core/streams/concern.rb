# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # Which streams one command has to do with, worked out from its home stream before any state is read:
      # commands speak of `:sitting`, `:staff`, `:main`, `:waiting`, `:place` (the place of the home stream),
      # `:own` (of whoever asks), of a course's `:course` and `:people`, and of `:home`.
      #
      #   concern = Concern.new('exchange/7.main', sitting_id: '7', by: 'farah', input: {})
      #   concern.name(:place) #=> "place/7.main"
      class Concern
        OF_COURSE = %i[course people].freeze
        private_constant :OF_COURSE

        # @return [String, nil] id of the class; nil where there is none
        attr_reader :sitting_id
        # @return [String, nil] id of the course, of what happens in none of its classes
        attr_reader :course_id
        # @return [Hash] the command's input
        attr_reader :input

        # @param home [String] the stream that the command is given on
        # @param sitting_id [String, nil]
        # @param by [String] id of the person who asks
        # @param input [Hash]
        def initialize(home, sitting_id:, by:, input:)
          @home = home
          @sitting_id = sitting_id
          @course_id = StreamName.course_id(home)
          @by = by
          @input = input
        end

        # @param role [Symbol, String] as above; names of streams stand for themselves
        # @return [String, nil] nil when there is no class, or no course
        def name(role)
          return role if role.is_a?(String)
          return @home if role == :home
          return @course_id && StreamName.public_send(role, @course_id) if OF_COURSE.include?(role)

          @sitting_id && within(role)
        end

        # @param roles [Array<Symbol, Proc>]
        # @return [Array<String>]
        def names(roles)
          roles.flat_map { |role| role.is_a?(Proc) ? role.call(self) : [name(role)] }.compact.uniq
        end

        # @return [String] stream of what concerns another person
        def own_of(person_id) = StreamName.own(@sitting_id, person_id)

        # @return [String, nil] stream of a thread of the class
        def thread_of(thread_id) = @sitting_id && StreamName.thread(@sitting_id, thread_id)

        private

        def within(role)
          case role
          when :sitting then StreamName.sitting(@sitting_id)
          when :staff then StreamName.staff(@sitting_id)
          when :main, :waiting then StreamName.place(@sitting_id, role.to_s)
          when :place then StreamName.place(@sitting_id, place)
          when :own then own_of(@by)
          end
        end

        # Boards of a room say in their id where they lie; all others lie in the main room.
        def place
          case StreamName.kind(@home)
          when :place, :exchange then StreamName.part(@home)
          when :board then Rooms::Activities.room_of_board(StreamName.id(@home)) || Sittings::Places::MAIN
          else Sittings::Places::MAIN
          end
        end
      end
    end
  end
end
