# frozen_string_literal: true

module Wattomneum
  module Readings
    # What is measured: by which way (a key of Methods), between which points, in which situation, with which plugs opened.
    #   from: node of the red lead; to: node of the black lead; opened: ids of components whose plug is off
    Probe = Struct.new(:by, :from, :to, :situation, :opened, keyword_init: true) do
      def initialize(opened: [], **rest)
        super(opened: opened.sort.freeze, **rest)
        @alike = [by, [from.to_s, to.to_s].sort, situation, self.opened].freeze
        freeze
      end

      # @param other [Probe]
      # @return [Boolean] whether it reads the same, whichever way round the leads are held
      def alike?(other) = alike == other.alike

      # @return [Array] equal for probes that read the same
      attr_reader :alike
    end
    # More than these nobody takes apart for one reading (ours).
    Probe::MOST_OPENED = 10
  end
end
