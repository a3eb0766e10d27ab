# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Begins a thread with one person, several, or all staff, and writes the first post in it. Under oversight staff read every
      # thread that begins.
      class BeginThread < Command
        include Threads

        on :exchange, 'exchange.begin_thread'
        looks_at :sitting, :place
        touches(:staff, :own) { |concern| concern.input[:people].map { |id| concern.own_of(id) } }
        begins { |concern| [concern.thread_of(concern.input[:id])].compact }
        contract do
          required(:id).value(Types::ID)
          required(:people).value(:array, max_size?: Thread::MOST_PEOPLE - 1).each(Types::ID)
          required(:staff).value(:bool)
          required(:post).hash do
            required(:id).value(Types::ID)
            required(:text).value(:string)
            optional(:file).value(Types::ID)
          end
        end

        def decide
          others!
          may_write_to!(people)
          may! :bring if input[:post][:file]
          in_class!
          somebody_here!(people, input[:staff])
          raise Refusal.new(:thread_exists, 'That thread has begun already.') if thread.begun?
          raise Refusal.new(:too_many_threads, 'You have begun very many threads already. Go on in one of them.') if full?

          begun + [entry('posted', { **WritePost.fit(input[:post], thread), to: TO, name: by.name }, on: stream)]
        end

        private

        def stream = scene.thread_of(input[:id])
        def thread = scene.of(stream)
        def staff = input[:staff] || place.oversight
        def full? = scene.of(:own).threads.count { |one| one[:people].first[:id] == by.id } >= Thread::MOST

        # @return [Array<Hash>] everyone in it by name, whoever begins it first
        def people
          @people ||= [by.id, *input[:people]].uniq.map { |id| { id: id, name: id == by.id ? by.name : sitting.seats[id]&.name } }
        end

        def others!
          return if input[:staff] || (input[:people] - [by.id]).any?

          raise Refusal.new(:thread_with_oneself, 'Choose somebody else whom this is for.')
        end

        def in_class!
          raise Refusal.new(:not_here, 'You are not in this room.') unless by.staff? || here?(by.id)
          return if people.all? { |one| one[:name] }

          raise Refusal.new(:not_here, 'Somebody this is for was never in this class. Choose among those on the bench.')
        end

        def begun
          facts = { id: input[:id], people: people, staff: staff }
          told = people.map { |one| entry('thread_begun', facts, on: Streams::StreamName.own(sitting.id, one[:id])) }
          told << entry('thread_begun', facts, on: :staff) if staff
          [entry('thread_begun', facts, on: stream), *told]
        end
      end
    end
  end
end
