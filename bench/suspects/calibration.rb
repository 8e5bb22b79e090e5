# frozen_string_literal: true

# What was claimed of the likeliest part after each reading, against what was so.
class Calibration
  BINS = [0.0, 0.1, 0.3, 0.6, 0.9, 0.99, 1.0].freeze

  # @param claims [Array<Array(Float, Boolean)>] share of the likeliest part, and whether it was at fault, after each reading
  def initialize(claims)
    @claims = claims
  end

  # @return [String] Brier score, and by bins how often it was right
  def to_s
    return '' if @claims.empty?

    brier = @claims.sum { |share, right| (share - (right ? 1 : 0))**2 } / @claims.size
    format('Brier %<brier>.3f; %<bins>s', brier: brier, bins: BINS.each_cons(2).filter_map { |least, most| bin(least, most) }.join(', '))
  end

  private

  def bin(least, most)
    within = @claims.select { |share, _| share > least && share <= most }
    return if within.empty?

    said = within.sum(&:first) / within.size
    format('said %<said>.2f right %<right>.2f (%<n>d)', said: said, right: within.count(&:last).fdiv(within.size), n: within.size)
  end
end
