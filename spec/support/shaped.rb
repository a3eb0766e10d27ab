# frozen_string_literal: true

# Holds every answer and message that the specs hear against its shape, since the browser's types are made of the shapes.
module Shaped
  SHAPES = Veranda::Shapes
  # Views of more marks than this are not looked through.
  MOST_MARKS = 100

  # As many texts are not looked through again: what is said to sixty is looked through once.
  KNOWN = 5_000

  @known = {}
  @odd = Queue.new
  # A schema works itself out as it is used, and many people's threads may do so at once.
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
    # @param text [String] as it came
    def message(facts, text)
      return if known?(text)

      key = facts.values_at('t', 'kind')
      shape = messages[key] or return @odd << "No shape is known for a message #{key.inspect}"

      check(key.compact.join(' '), shape, facts)
      (facts['streams'] || [facts]).each { |part| view(part) }
    end

    # @return [Array<String>] what did not fit since this was asked last
    def odd = Array.new(@odd.length) { @odd.pop }

    private

    def known?(text)
      @one_at_a_time.synchronize do
        next true if @known.key?(text)

        @known.shift if @known.length >= KNOWN
        @known[text] = true
        false
      end
    end

    def view(part)
      return if part['view'].nil? || part['view']['marks'].to_a.length > MOST_MARKS

      name = SHAPES::Messages::VIEWS.fetch(part['stream'][/\A\w+/].to_sym)
      check("view of #{part['stream']}", name, part['view'])
    end

    # Looking for the one shape by its type and kind is many times faster than trying all of them.
    def messages
      @messages ||= SHAPES::Messages::ALL[:Incoming][:anyOf].flat_map { |shape| shape[:anyOf] || [shape] }.to_h do |shape|
        [shape[:properties].values_at(:t, :kind).map { |part| part && part[:const] }, shape]
      end
    end

    def document = @document ||= SHAPES::Document.new(names.to_h { |shape, name| [name, shape] })

    # @return [Hash{Hash => String}] names of the shapes that have none of their own
    def names
      @names ||= {}.compare_by_identity.tap do |names|
        [*SHAPES::Addresses::ALL.values, *messages.values].each { |shape| names[shape] ||= "part-#{names.length}" }
      end
    end

    # @param shape [Hash, Symbol] one of them, or its name
    def check(what, shape, facts)
      fault = @one_at_a_time.synchronize { document.fault(shape.is_a?(Symbol) ? shape : names.fetch(shape), facts) }
      @odd << "#{what}: #{fault}" if fault
    end
  end
end

RSpec.configure do |config|
  config.after do
    odd = Shaped.odd
    expect(odd.uniq).to be_empty unless odd.empty?
  end
end
