# frozen_string_literal: true

require 'digest'

module Wattomneum
  module Faults
    module Suspects
      # The settled volts of the points of a scope with each hypothesis, on this unit and on others with their components off their labels:
      # some hundred circuits solved, once for a complaint. It can be kept as text of bytes and read again.
      class Table
        # Components are off their labels by up to this; so many other units are imagined to see what it does (ours).
        SPREAD_RATIO = 0.15
        OTHER_UNITS = 2
        SEED = 11
        # Single precision: a millivolt of 24 V has four digits to spare.
        FORMAT = 'e*'
        # Counted up where the same circuit is laid out another way.
        LAYOUT = 3
        private_constant :SPREAD_RATIO, :OTHER_UNITS, :SEED, :FORMAT, :LAYOUT

        # @return [String] another one where another table would be worked out of the same circuit
        def self.signature = Digest::SHA256.hexdigest([Hypotheses::KINDS, SPREAD_RATIO, OTHER_UNITS, SEED, LAYOUT].to_s)

        # @param machine [Circuits::Machine]
        # @param subject [Subject]
        # @return [Table]
        def self.about(machine, subject, bytes: nil) = new(machine, subject.part, subject.state(machine), bytes: bytes)

        # @return [Scope]
        attr_reader :scope
        # @return [Array<Hypothesis>]
        attr_reader :hypotheses
        # @return [Circuits::Machine]
        attr_reader :machine

        # @param machine [Circuits::Machine] the unit's sound circuit
        # @param part [Circuits::Part] that fails
        # @param state [String] key state of the sheet
        # @param bytes [String, nil] as dump gave them, for the same circuit
        def initialize(machine, part, state, bytes: nil)
          @machine = machine
          @circuit = machine.circuit
          @state = state
          @scope = Scope.new(machine, part, state)
          @hypotheses = Hypotheses.new(machine, scope).all
          @nodes = [*posts, *scope.consumers.flat_map { |one| [one.from, one.to] }, *scope.nodes].uniq
          @volts = bytes && read(bytes)
        end

        # @return [Boolean] whether these bytes are of this circuit's table
        def known? = !@volts.nil?

        # Works it out where it is not known yet.
        #
        # @yieldparam done [Integer] how many hypotheses are worked out
        # @return [self]
        def work_out
          @volts ||= @hypotheses.each_with_index.map do |hypothesis, index|
            yield index if block_given?
            solved.map { |unit| unit.volts(hypothesis) }
          end
          self
        end

        # @return [Array<String>] nodes of the positive and the negative post; of the second only, where the sheet names no other
        def posts = [machine.sheet.positive_post, machine.sheet.negative_post].compact

        # @return [Predictions] made from it, once
        def predictions = @predictions ||= Predictions.new(work_out)

        # @return [Candidates] readings worth thinking of
        def candidates = @candidates ||= Candidates.new(machine, scope)

        # @return [String]
        def dump = work_out.then { @volts.flatten.pack(FORMAT) }

        # @param hypothesis [Integer]
        # @param from [Integer] place of a node
        # @param to [Integer] place of a node
        # @param unit [Integer] 0 for this one, from 1 for the others
        # @return [Float] volts between them; 0 where nothing leads there
        def volt(hypothesis, from, to, unit = 0)
          volts = @volts[hypothesis][unit]
          volt = volts[from] - volts[to]
          volt.nan? ? 0.0 : volt
        end

        # @return [Array<Integer>] numbers of the others
        def others = @others ||= [*1..OTHER_UNITS]

        # @param node [String]
        # @return [Integer] where it stands in the table
        # @raise [KeyError] if it does not
        def place(node) = places.fetch(node)

        # @param consumers [Array<Circuits::Consumer>]
        # @return [Boolean] whether it is told what keeps these from working
        def tells?(consumers) = consumers.any? && (consumers.map(&:key) - scope.consumers.map(&:key)).empty?

        # @param node [String]
        # @return [Boolean]
        def node?(node) = places.key?(node)

        private

        def places = @places ||= @nodes.each_with_index.to_h

        # This unit and others.
        def solved = @solved ||= [{}, *other_units].map { |ohms| Solved.new(@circuit, @state, @nodes, ohms: ohms) }

        def other_units
          @other_units ||= begin
            random = Random.new(SEED)
            passive = @circuit.owned.each_index.select { |index| @circuit.network.branches[index].volt.zero? }
            Array.new(OTHER_UNITS) do
              passive.to_h { |index| [index, @circuit.network.branches[index].ohm * (1 + (SPREAD_RATIO * ((2 * random.rand) - 1)))] }
            end
          end
        end

        # Of another length they are of another circuit, or of an older program.
        def read(bytes)
          flat = bytes.unpack(FORMAT)
          return unless flat.size == @hypotheses.size * (OTHER_UNITS + 1) * @nodes.size

          flat.each_slice(@nodes.size).each_slice(OTHER_UNITS + 1).to_a
        end
      end
    end
  end
end
