# frozen_string_literal: true

# How much of what only numbers show is run: a little with every change, all of it in the long part (bin/test --long sets LONG).
#
# What is tagged :seeds runs in both, with as much of it as of says; what is tagged :long runs in the long part alone.
module Extent
  # @return [Boolean]
  def self.long? = ENV['LONG'] == '1'

  # @param everyday [Object] seeds, counts or lists for every change
  # @param long [Object] for the long part
  # @return [Object] one of the two
  def self.of(everyday, long) = long? ? long : everyday

  # @param index [Integer] of an example among others of its kind
  # @return [Boolean] whether it is its turn: every other one for every change, the others with another seed of the run
  def self.turn?(index) = long? || (RSpec.configuration.seed + index).even?

  # @param list [Array]
  # @param one_in [Integer] of so many one is taken for every change, another one with another seed of the run
  # @return [Array] some of the list; all of it in the long part
  def self.sample(list, one_in:) = long? ? list : list.each_slice(one_in).map { |few| few[RSpec.configuration.seed % few.size] }
end
