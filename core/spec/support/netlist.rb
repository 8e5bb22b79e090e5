# frozen_string_literal: true

# Writes networks for ngspice from plain lists of elements. Shares no line with the solver: what it writes are resistors and sources
# with their resistance.
module Netlist
  # gmin and tolerances far under what is compared; the reference node is 0.
  OPTIONS = '.options reltol=1e-12 abstol=1e-18 vntol=1e-15 gmin=1e-18 itl1=2000'

  # @param elements [Array<Hash>] :from, :to, :ohm, :volt (source in series)
  # @return [Array<String>] cards
  def self.cards(elements)
    [OPTIONS, *elements.each_with_index.flat_map { |element, index| card(element, index) }]
  end

  def self.card(element, index)
    from, to = element.values_at(:from, :to).map { |node| node.zero? ? '0' : "n#{node}" }
    return ["R#{index} #{from} #{to} #{number(element[:ohm])}"] if element[:volt].to_f.zero?

    ["V#{index} #{from} m#{index} #{number(element[:volt])}", "R#{index} m#{index} #{to} #{number(element[:ohm])}"]
  end

  def self.number(value) = format('%.15e', value)
  private_class_method :card, :number
end
