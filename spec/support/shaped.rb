# frozen_string_literal: true

require 'json_schemer'

# Holds every answer and message that the specs hear against its shape, since the browser's types are made of the shapes.
module Shaped
  SHAPES = Veranda::Shapes
  # Views of more marks than this are not looked through.
  MOST_MARKS = 100

  @schemas = {}
  @odd = Queue.new
  # A schema works itself out when it is first used, and many people's threads may do so at once.
  @one_at_a_time = Mutex.new

  class << self
    # @param method [String]
    # @param path [String]
    # @param facts [Object] the body of an answer when all went well
    def answer(method, path, facts)
      shape = SHAPES::Addresses.of(method, path.split('?').first)
      return check("#{method} #{path}", shape, facts) if shape

      @odd << "No shape is known for #{method} #{path}"
    end

    # @param facts [Hash] a message of the live connection
    def message(facts)
      key = facts.values_at('t', 'kind')
      shape = messages[key] or return @odd << "No shape is known for a message #{key.inspect}"

      check(key.compact.join(' '), shape, facts)
      (facts['streams'] || [facts]).each { |part| view(part) }
    end

    # @return [Array<String>] what did not fit since this was asked last
    def odd = Array.new(@odd.length) { @odd.pop }

    private

    def view(part)
      return if part['view'].nil? || part['view']['marks'].to_a.length > MOST_MARKS

      name = SHAPES::Messages::VIEWS.fetch(part['stream'][/\A\w+/].to_sym)
      check("view of #{part['stream']}", SHAPES::Language.shape(name), part['view'])
    end

    # Looking for the one shape by its type and kind is many times faster than trying all of them.
    def messages
      @messages ||= SHAPES::Messages::ALL[:Incoming][:anyOf].flat_map { |shape| shape[:anyOf] || [shape] }.to_h do |shape|
        [shape[:properties].values_at(:t, :kind).map { |part| part && part[:const] }, shape]
      end
    end

    def check(what, shape, facts)
      error = @one_at_a_time.synchronize do
        schema = @schemas[shape] ||= JSONSchemer.schema(JSON.parse(JSON.generate(SHAPES.schema(shape))))
        schema.validate(facts).first
      end
      @odd << "#{what}: #{error['error']}" if error
    end
  end
end

RSpec.configure do |config|
  config.after do
    odd = Shaped.odd
    expect(odd.uniq).to be_empty unless odd.empty?
  end
end
