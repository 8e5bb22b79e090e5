# frozen_string_literal: true

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
        private_constant :SPREAD_RATIO, :OTHER_UNITS, :SEED, :FORMAT

        # @param machine [Circuits::Machine]
        # @param symptom [Jobs::Symptom]
        # @return [Boolean] whether a complaint is told by one: about something that should work, and does not, fed by a battery
        def self.for?(machine, symptom)
          part = machine.sheet.part(symptom.part.to_s)
          batteries = machine.sheet.parts.grep(Circuits::Parts::Battery)
          symptom.along_paths? && !symptom.stays_on? && !part.nil? && machine.consumers.needed(part).any? &&
            batteries.any? { |battery| battery.fields['active_in'].nil? }
        end

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
          @nodes = [machine.sheet.negative_post, *scope.consumers.flat_map { |one| [one.from, one.to] }, *scope.nodes].uniq
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
            [{}, *other_units].map { |ohms| solve(hypothesis, ohms) }
          end
          self
        end

        # @return [Predictions] made from it, once
        def predictions = @predictions ||= Predictions.new(work_out)

        # @return [Candidates] readings worth thinking of
        def candidates = @candidates ||= Candidates.new(machine, scope)

        # @return [String]
        def dump = work_out.then { @volts.flatten.pack(FORMAT) }

        # @param hypothesis [Integer]
        # @param from [String] node
        # @param to [String] node
        # @return [Array<Float>] volts between them, of this unit first; 0 where nothing leads there
        def volts(hypothesis, from, to)
          one, other = [from, to].map { |node| place.fetch(node) }
          @volts[hypothesis].map { |volts| (volts[one] - volts[other]).then { |volt| volt.nan? ? 0.0 : volt } }
        end

        # @param node [String]
        # @return [Boolean]
        def node?(node) = place.key?(node)

        private

        def place = @place ||= @nodes.each_with_index.to_h

        # Not a number where nothing leads to the reference.
        def solve(hypothesis, ohms)
          solution = Circuits::Solving::SettledStates.new(@circuit, switching: switching, opened: hypothesis.opened, extra: hypothesis.extra,
                                                                    ohms: ohms.merge(hypothesis.ohms)).fetch(@state).solution
          @nodes.map { |node| @circuit.node(node).then { |at| solution.floating?(at) ? Float::NAN : solution.volt(at) } }
        end

        def switching = @switching ||= Circuits::Solving::Switching.new(@circuit)

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
