# frozen_string_literal: true

# What people do wrong with a meter: a point in the wrong place, leads round the other way and the sign left off, a lead that does not touch, two
# digits in the wrong order.
class Slips
  # @param share [Float] of readings
  # @param seed [Integer]
  def initialize(share, seed)
    @share = share
    @random = Random.new(seed + 5)
  end

  # @param shown [Float] volts
  # @return [Float] volts as they are written down
  def call(shown)
    return shown if @random.rand >= @share

    case @random.rand(4)
    when 0 then shown * [10, 0.1].sample(random: @random)
    when 1 then -shown
    when 2 then 0.0
    else turned_round(shown)
    end
  end

  private

  def turned_round(shown)
    text = format('%.2f', shown)
    at = text.index(/\d\d/) or return shown
    text[at], text[at + 1] = text[at + 1], text[at]
    text.to_f
  end
end
