# frozen_string_literal: true

# Bodies as nobody would send them, from one that is right: seeded, so that what was found is found again.
class Mutation
  ODD = [nil, '', ' ', 'x', 'x' * 300, 'x' * 3999, '-1', '0', '1e400', 'NaN', 'OL', "line\nbreak", "\u202Eback", "tab\t", '٣', "O'Brien; --", '%s %d',
         -1, 0, 1, 2, 0.1, -0.0, 1e-300, 1e11, 1e300, 2**31, 2**63, 10**40, true, false, [], {}, [1], ['x'], [[]], { 'a' => 1 }, [nil],
         '0000-00-00', '9999-12-31', '292279-01-01', '-4712-01-01', '2026-02-30', '2026-11-26T25:61:61Z', '9999-12-31T23:59:59Z',
         '0001-01-01T00:00:00Z', '300000-01-01T00:00:00Z', '00000000-0000-0000-0000-000000000000', 'A', 'battery', 'crank_posts'].freeze

  # @param random [Random]
  # @param spare_ids [Array<String>] of rows of every kind, to be named where they do not belong
  def initialize(random, spare_ids)
    @random = random
    @odd = ODD + spare_ids
  end

  # @param body [Hash]
  # @return [Hash] with one to three things changed
  def of(body)
    copy = JSON.parse(JSON.generate(body))
    @random.rand(1..3).times { change(copy) }
    copy
  end

  # @return [String] any text
  def text = @odd.grep(String).sample(random: @random).to_s

  # @param path [String]
  # @return [String] now and then with another id in it
  def of_path(path)
    return path unless @random.rand < 0.15

    parts = path.split('/')
    parts[@random.rand(1...parts.size)] = URI.encode_www_form_component(@odd.grep(String).sample(random: @random).to_s)
    parts.join('/')
  end

  private

  def change(object)
    key = object.keys.sample(random: @random)
    inner = object[key]
    return change(inner) if inner.is_a?(Hash) && inner.any? && @random.rand < 0.6

    case @random.rand(10)
    when 0 then object.delete(key)
    when 1 then object["extra#{@random.rand(9)}"] = odd
    when 2 then object[key] = slightly_off(inner)
    else object[key] = odd
    end
  end

  # A copy: what is put into a body may be changed there.
  def odd = Marshal.load(Marshal.dump(@odd.sample(random: @random)))

  def slightly_off(value)
    case value
    when String then value.empty? ? ' ' : misspelt(value)
    when Numeric then value * [-1, 0, 0.5, 10, 1000].sample(random: @random)
    when Array then value + value + [odd]
    else odd
    end
  end

  def misspelt(text)
    text.dup.tap { |copy| copy[@random.rand(copy.size)] = ['', 'ø', ':', '-', "\n", '9'].sample(random: @random) }
  end
end
