# frozen_string_literal: true

module Wattomneum
  module Circuits
    # What is really bolted on: the batteries at their charge, health and temperature, and a starter that asks for what its engine asks for
    # at this temperature. Where the unit's own crank test is known, bank, path and starter are those of the test.
    class Fitment
      # @return [Sheet] with what is bolted on
      attr_reader :sheet
      # @return [Hash{Integer => Float}] branches of its circuit that a crank test knows better than the sheet
      attr_reader :ohms

      # At about this temperature the usual current of an engine is what is entered for it.
      USUAL_CELSIUS = 20.0

      # @param sheet [Sheet] the unit's circuit
      # @param system [Units::ElectricalSystem]
      # @param celsius [Float] of the batteries
      # @param engine_celsius [Float] of its oil
      # @param charge_percent [Hash{String => Float}] by battery position; full where nothing is said
      # @param health_ratio [Hash{String => Float}] what each still gives of its rating
      # @param crank_test [Cranking::CrankTest, nil] with a current
      def initialize(sheet, system:, celsius: USUAL_CELSIUS, engine_celsius: celsius, charge_percent: {}, health_ratio: {}, crank_test: nil)
        @drawn = sheet
        @system = system
        @celsius = celsius
        @engine_celsius = engine_celsius
        @charge_percent = charge_percent
        @health_ratio = health_ratio
        @test = crank_test if crank_test&.ampere
        @sheet = fitted
        @ohms = @test ? measured_path : {}
        freeze
      end

      # @return [Machine]
      def machine = Machine.new(sheet, ohms: ohms)

      private

      def loop = @drawn.loops.find { |one| one.key == 'start' }

      def fitted
        replaced = batteries
        replaced[loop.load] = starter if loop && @system.starter?
        @drawn.parts.grep(Parts::Alternator).each { |part| replaced[part.id] = part.fields.merge('volt' => regulated_volt(part)) }
        @drawn.with_parts(replaced)
      end

      # -- batteries

      def batteries
        drawn = drawn_batteries
        boxed = drawn.one? && @system.bank?
        drawn.to_h { |part| [part.id, part.fields.merge(boxed ? box(part) : one(position_of(part, drawn)))] }
      end

      # The bank of the test at this temperature and charge.
      def cold
        charge = @charge_percent.empty? ? @test.charge_percent : @charge_percent.values.sum / @charge_percent.size
        @cold ||= Cranking::ColdCrank.new(@test, battery_celsius: @celsius, engine_celsius: @engine_celsius, charge_percent: charge)
      end

      # BAT_B stands in position B; a single one in A.
      def position_of(part, drawn)
        named = part.id[/_([A-D])\z/, 1] || part.id[/_([A-D])@/, 1]
        @system.positions.include?(named) ? named : @system.positions[drawn.index(part)] || @system.positions.last
      end

      def one(position)
        if @test
          return { 'volt' => cold.open_volt / in_series, 'ohm' => tested_bank_ohm * (@system.parallel? ? @system.battery_count : 1.0 / in_series) }
        end

        { 'volt' => open_volt(position), 'ohm' => battery_ohm(position) }
      end

      def box(_part)
        return { 'volt' => cold.open_volt, 'ohm' => tested_bank_ohm } if @test

        sources = @system.positions.map { |position| Batteries::Bank::Source.new(rest_volt: open_volt(position), resistance_ohm: battery_ohm(position)) }
        bank = Batteries::Bank.equivalent(sources, arrangement: @system.arrangement)
        { 'volt' => bank.rest_volt, 'ohm' => bank.resistance_ohm }
      end

      # The volts that the bank lost in the test were lost to the solenoid's current too, which the clamp on the starter's cable did not see.
      def tested_bank_ohm = cold.bank_ratio * @test.bank_ohm * @test.ampere / (@test.ampere + beside_ampere)

      def in_series = @system.series? ? @system.battery_count : 1
      def blocks = @system.blocks_per_battery
      def charge(position) = @charge_percent.fetch(position, 100.0)
      def open_volt(position) = blocks * six_cells_volt(position)
      def six_cells_volt(position) = Batteries::StateOfCharge.rest_voltage(charge_percent: charge(position))

      def battery_ohm(position)
        health = @health_ratio.fetch(position, 1.0)
        battery = @system.batteries[position] or return blocks * UNRATED_OHM / health
        Batteries::InternalResistance.from_rating(measured_sae_ampere: battery.rating.sae_ampere * health, blocks: blocks,
                                                  rest_volt: six_cells_volt(position), charge_percent: charge(position),
                                                  temperature_celsius: @celsius)
      end

      # A battery of which nothing is entered (common practice).
      UNRATED_OHM = 0.005
      private_constant :UNRATED_OHM

      # Formula: V = setpoint at 25 degC + shift x (T - 25); not where it is commanded, nor for a converter, nor for other than lead and acid.
      # Source: 3 mV per cell and degC, handbook, from memory.
      def regulated_volt(part)
        setpoint = part.fields.fetch('volt', Parts::Alternator::VOLT_PER_12 * @drawn.system_volt / 12.0)
        return setpoint if %w[commanded dc_dc].include?(@system.regulator) || !@system.lead_acid?

        setpoint + (@system.limit('charging.shift_per_degree').value * (@celsius - Charging::Regulation::REFERENCE_CELSIUS))
      end

      # -- starter

      # Usual is what the healthy engine takes on its own bank and cables at about 20 degC; a test is its own usual.
      def starter
        part = @drawn.part(loop.load)
        ampere = @test ? @test.ampere : @system.usual_cranking_current_ampere
        volt = @test ? @test.starter_volt : usual_volt(ampere)
        { 'id' => part.id, 'kind' => 'starter', 'label' => part.label, 'zone' => part.zone, 'pins' => part.pins, 'usual_ampere' => ampere,
          'usual_volt' => volt, 'demand_ratio' => demand, 'works_from_volt' => volt * WORKS_SHARE, 'works_in' => part.fields['works_in'] }.compact
      end

      WORKS_SHARE = 0.6
      # A bank so weak for its engine that nothing would be left is taken to leave this share of the system to the starter.
      LEAST_SHARE = 0.4
      private_constant :WORKS_SHARE, :LEAST_SHARE

      def demand
        at = @test ? @test.celsius : USUAL_CELSIUS
        Cranking::EngineDemand.ratio(temperature_celsius: @engine_celsius) / Cranking::EngineDemand.ratio(temperature_celsius: at)
      end

      def usual_volt(ampere)
        new_ohms = @system.positions.map { |position| new_battery_ohm(position) }
        bank_ohm = @system.parallel? ? 1.0 / new_ohms.sum { |ohm| 1.0 / ohm } : new_ohms.sum
        open = Batteries::StateOfCharge.rest_voltage(charge_percent: 100.0) * @system.blocks_in_series
        path_volt = ampere * path_steps.flatten.sum { |step| drawn_ohm(step) }
        [open - ((ampere + beside_ampere) * bank_ohm) - path_volt, LEAST_SHARE * @system.system_volt].max
      end

      def new_battery_ohm(position)
        battery = @system.batteries[position] or return blocks * UNRATED_OHM
        Batteries::InternalResistance.from_rating(measured_sae_ampere: battery.rating.sae_ampere, temperature_celsius: USUAL_CELSIUS, blocks: blocks,
                                                  rest_volt: Batteries::StateOfCharge.rest_voltage(charge_percent: 100.0))
      end

      # What else is on while it cranks, first of all the solenoid: ampere of the bank less those of the starter, as drawn.
      def beside_ampere
        return 0.0 if loop.nil?

        @beside_ampere ||= begin
          whole = drawn_batteries.sum { |part| given(part) } / drawn_in_series
          [whole - taken(@drawn.part(loop.load)), 0.0].max
        end
      end

      def drawn_batteries = @drawn.parts.grep(Parts::Battery).select { |part| part.stud?('+') }
      def drawn_in_series = drawn_batteries.one? ? 1 : in_series
      def given(battery) = inside(battery).sum { |from, ampere| from == battery.node('+') ? -ampere : ampere }
      def taken(starter) = inside(starter).sum { |_, ampere| ampere }

      # @return [Array<Array(String, Float)>] node that each branch of a part leads from, and its ampere while the drawn circuit cranks
      def inside(part)
        solution = drawn_machine.settled.fetch(loop.state).solution
        drawn_machine.circuit.owned.each_with_index.select { |one, _| one.part&.id == part.id && one.ring_of.nil? }
                     .map { |one, index| [one.branch.from, solution.current(index)] }
      end

      # -- path of the starter's current

      def drawn_machine = @drawn_machine ||= Machine.new(@drawn)
      def drawn_ohm(step) = drawn_machine.circuit.network.branches[step.index].ohm

      # @return [Array(Array, Array)] steps of the feed and of the return, as drawn
      def path_steps
        @path_steps ||= begin
          finder = drawn_machine.paths(loop.state)
          part = @drawn.part(loop.load)
          [finder.to_battery(part.node(part.pins.first)).steps, finder.to_ground(part.node(part.pins.last)).steps]
        end
      end

      # Each side brought to what the test says of it, all of its pieces by the same ratio.
      def measured_path
        circuit = sheet.circuit
        sides = path_steps.zip([@test.feed_drop_volt, @test.ground_drop_volt])
        sides.flat_map { |steps, volt| volt ? brought_to(steps, volt / @test.ampere, circuit) : [] }.to_h
      end

      def brought_to(steps, ohm, circuit)
        ratio = ohm / steps.sum { |step| drawn_ohm(step) }
        steps.filter_map { |step| [index_in(circuit, step), drawn_ohm(step) * ratio] }
      end

      # The starter has one branch more than what it was drawn as; every other is between the same nodes.
      def index_in(circuit, step)
        owned = drawn_machine.circuit.owned[step.index]
        circuit.owned.index { |one| one.branch.from == owned.branch.from && one.branch.to == owned.branch.to && one.branch.name == owned.branch.name }
      end
    end
  end
end
