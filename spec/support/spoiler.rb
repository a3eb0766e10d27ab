# frozen_string_literal: true

# Spoils what was well made: one thing put in another's place, taken out, added, or bytes that are no text at all.
class Spoiler
  WRONG = [nil, 7, -1, 1.5, 10**400, -10**400, 2**63, 1e308, '', 'x', '../x', 'a b', "a\u0000b", 'x' * 5_000, true, [], {}, [1, 'x'], { 'x' => 1 }, [nil],
           [[[[[]]]]], '﷐￾', "\u202E", 'staff/x', "'; DROP TABLE entries; --", '<script>', '%00'].freeze
  # Put into a text as they stand, since JSON would not write them so.
  RAW = ['\\udc00', '\\ud83d', '\\u0000', '1e999', '\\u0000', '-', 'null', '{', ']', '"', '\\'].freeze

  # @param rng [Random]
  def initialize(rng)
    @rng = rng
  end

  # @param value [Object] as parsed from JSON
  # @return [Object] the like, with one thing wrong
  def spoil(value)
    return WRONG.sample(random: @rng) if !value.is_a?(Enumerable) || value.empty? || @rng.rand(8).zero?

    copy = value.dup
    key = value.is_a?(Hash) ? value.keys.sample(random: @rng) : @rng.rand(value.length)
    case @rng.rand(10)
    when 0 then value.is_a?(Hash) ? copy.delete(key) : copy.delete_at(key)
    when 1 then value.is_a?(Hash) ? copy[WRONG.grep(String).sample(random: @rng)] = 1 : copy << WRONG.sample(random: @rng)
    else copy[key] = spoil(value[key])
    end
    copy
  end

  # @param facts [Object]
  # @return [String] JSON, or something like it
  def text(facts)
    text = JSON.generate(spoil(facts)).b
    return text unless @rng.rand(3).zero?
    return text + "\xFF\xFE".b if @rng.rand(40).zero?

    at = @rng.rand(text.length + 1)
    case @rng.rand(3)
    when 0 then text[0, at]
    when 1 then text.insert(at, RAW.sample(random: @rng).b)
    else text.sub('":"', "\":\"#{RAW.sample(random: @rng)}".b)
    end
  end
end
