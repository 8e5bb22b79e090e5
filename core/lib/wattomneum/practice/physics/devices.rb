# frozen_string_literal: true

module Wattomneum
  module Practice
    module Physics
      # What in a circuit is no resistance: batteries, the starter, the alternator and diodes, each by the law that its volts follow.
      class Devices
        TRIO_OHM = 0.12
        TRIO_AMPERE = 8.0
        TRIO_SHORT_OHM = 3.0
        BLOCKED_OHM = 2000.0
        # Of silicon; what leaks the other way is nothing.
        DIODE_VOLT = 0.05
        DIODE_AMPERE = 2e-6
        DIODE_BLOCKED_OHM = 1e7
        # More than so much over its drawn resistance is a fault in the starter's own way.
        OFF_LABEL_SHARE = 0.5
        # index: branch that its ampere is booked under; law: volts from `from` to `to`, by ampere
        Device = Struct.new(:index, :from, :to, :law)

        # @param circuit [Circuits::Circuit]
        # @param bolted [Bolted]
        # @param ohms [Hash{Integer => Float}] by branch, as they really are
        # @param opened [Array<Integer>] branches that are off
        def initialize(circuit, bolted, ohms:, opened:)
          @circuit = circuit
          @bolted = bolted
          @ohms = ohms
          @opened = opened
        end

        # @param field [Float, nil] share of its field that the alternator has; nil while it gives nothing
        # @param over [Float] volts over its setpoint
        # @return [Array<Device>]
        def all(field, over) = batteries + starters + (field ? alternators(field, over) : []) + diodes

        private

        def owned = @circuit.owned
        def node(part, pin) = @circuit.node(part.node(pin))
        def first_of(id) = owned.index { |one| one.part&.id == id && one.ring_of.nil? }

        def batteries
          @batteries ||= @bolted.batteries.map do |id, one|
            part = @circuit.sheet.part(id)
            Device.new(first_of(id), node(part, '+'), node(part, '-'), one.method(:volt))
          end
        end

        def starters
          return [] unless @bolted.motor

          part = @circuit.sheet.part(@bolted.starter_id)
          index = first_of(part.id)
          return [] if @opened.include?(index)

          series = series_ohm(index)
          [Device.new(index, node(part, part.pins.first), node(part, part.pins.last), ->(ampere) { @bolted.motor.volt(ampere) + (series * ampere) })]
        end

        def series_ohm(index)
          own = owned[index].branch.ohm
          added = @ohms.fetch(index, own) - own
          added > OFF_LABEL_SHARE * own ? added : 0.0
        end

        def alternators(field, over)
          part = @bolted.alternator_part
          output, trio = ['output', 'diode trio'].map { |name| owned.index { |one| one.part == part && one.branch.name == name } }
          return [] if @opened.include?(output)

          list = [Device.new(output, node(part, 'B+'), node(part, 'case'), ->(ampere) { @bolted.generator.volt(ampere, field, over) })]
          trio ? list << Device.new(trio, node(part, 'D+'), node(part, 'case'), ->(ampere) { trio_volt(ampere, over) }) : list
        end

        # It lifts D+ to what its output has, and takes nothing back.
        def trio_volt(ampere, over)
          level = @bolted.generator.setpoint + over
          return level + (ampere * BLOCKED_OHM) if ampere.positive?

          level + (ampere * TRIO_OHM) + ([ampere + TRIO_AMPERE, 0.0].min * TRIO_SHORT_OHM)
        end

        def diodes
          forward = owned.each_index.select { |index| owned[index].branch.gate == :forward && !@bolted.holds?(owned[index].part.id) }
          (forward - @opened).map do |index|
            branch = owned[index].branch
            Device.new(index, @circuit.node(branch.from), @circuit.node(branch.to), ->(ampere) { diode_volt(ampere) + (branch.ohm * ampere) })
          end
        end

        def diode_volt(ampere) = ampere.negative? ? ampere * DIODE_BLOCKED_OHM : DIODE_VOLT * Math.asinh(ampere / DIODE_AMPERE)
      end
    end
  end
end
