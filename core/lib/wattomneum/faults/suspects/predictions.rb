# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # What a meter would show with each hypothesis: the settled volts of every node in one state, and how far components within their
      # tolerance move them.
      class Predictions
        # Volts on a scale on which a millivolt of a ground and a volt of a feed are told apart alike.
        SCALE_VOLT = 0.02
        # Components are off their labels by up to this; so many other units are imagined to see what it does (ours).
        Read = Struct.new(:means, :offs, :bands, keyword_init: true)
        SPREAD_RATIO = 0.15
        OTHER_UNITS = 2
        SEED = 11
        private_constant :SPREAD_RATIO, :OTHER_UNITS, :SEED

        # @param volt [Float]
        # @return [Float]
        def self.scaled(volt) = Math.asinh(volt / SCALE_VOLT)

        # @return [Array<Hypothesis>]
        attr_reader :hypotheses

        # @param machine [Circuits::Machine]
        # @param hypotheses [Array<Hypothesis>]
        # @param state [String] key state of the sheet
        def initialize(machine, hypotheses, state)
          @machine = machine
          @circuit = machine.circuit
          @hypotheses = hypotheses
          @state = state
          @switching = Circuits::Solving::Switching.new(@circuit)
          @others = other_units
        end

        # @param from [String] node
        # @param to [String] node
        # @return [Read] for each hypothesis the scaled volts, how far components may move them, and how far half a grade of severity does
        def between(from, to)
          @between ||= {}
          @between[[from, to]] ||= read(*[from, to].map { |node| @circuit.node(node) })
        end

        # @param consumer [Circuits::Consumer]
        # @return [Array<Float>] for each hypothesis the share of its sound volts across it
        def shares(consumer)
          @shares ||= {}
          @shares[consumer.key] ||= begin
            from, to = [consumer.from, consumer.to].map { |node| @circuit.node(node) }
            sound = across(solutions.first.first, from, to)
            solutions.map { |own, *| sound.zero? ? 0.0 : across(own, from, to) / sound }
          end
        end

        private

        def read(from, to)
          volts = solutions.map { |units| units.map { |solution| self.class.scaled(across(solution, from, to)) } }
          offs = volts.map { |own, *others| Math.sqrt(others.sum { |other| (other - own)**2 } / others.size) }
          Read.new(means: volts.map(&:first), offs: offs, bands: bands_of(volts.map(&:first)))
        end

        # A grade stands for all severities to half way to its neighbours: with its sign, since one severity holds for all readings.
        def bands_of(volts)
          hypotheses.each_index.map do |index|
            beside = [index - 1, index + 1].select { |other| neighbours?(index, other) }
            next 0.0 if beside.empty?

            least, most = [index, *beside].minmax
            BAND_SHARE * (volts[most] - volts[least]) / (most - least)
          end
        end

        BAND_SHARE = 0.33
        private_constant :BAND_SHARE

        def neighbours?(index, other)
          return false unless other.between?(0, hypotheses.size - 1)

          one, next_one = [index, other].minmax.map { |at| hypotheses[at] }
          one.next_to?(next_one)
        end

        def across(solution, from, to) = solution.connected?(from, to) ? solution.volt(from) - solution.volt(to) : 0.0

        # Of this unit, and of others with their components off their labels.
        def solutions
          @solutions ||= hypotheses.map { |hypothesis| [{}, *@others].map { |ohms| solve(hypothesis, ohms) } }
        end

        def solve(hypothesis, ohms)
          Circuits::Solving::SettledStates.new(@circuit, switching: @switching, opened: hypothesis.opened, extra: hypothesis.extra,
                                                         ohms: ohms.merge(hypothesis.ohms)).fetch(@state).solution
        end

        def other_units
          random = Random.new(SEED)
          passive = @circuit.owned.each_index.select { |index| @circuit.network.branches[index].volt.zero? }
          Array.new(OTHER_UNITS) do
            passive.to_h { |index| [index, @circuit.network.branches[index].ohm * (1 + (SPREAD_RATIO * ((2 * random.rand) - 1)))] }
          end
        end
      end
    end
  end
end
