# frozen_string_literal: true

module Wattomneum
  module Practice
    module Physics
      # What is bolted on to the circuit of a unit: its batteries, its starter and its alternator, with what ails them.
      class Bolted
        # @return [Hash{String => Accumulator}] by component
        attr_reader :batteries
        # @return [Generator, nil]
        attr_reader :generator
        # @return [Motor, nil]
        attr_reader :motor

        # @param sheet [Circuits::Sheet]
        # @param system [Units::ElectricalSystem]
        # @param faults [Array<UnitFault>]
        # @param seed [Integer]
        # @param celsius [Float]
        # @param engine [Symbol] idle or fast, where it runs
        # @param charge [Hash{String => Float}] 0 to 1, by position
        # @param health [Hash{String => Float}] 0 to 1, by position
        def initialize(sheet:, system:, faults:, seed:, celsius:, charge:, health:, engine: :fast)
          @sheet = sheet
          @system = system
          @faults = faults
          @random = Random.new(seed)
          @celsius = celsius
          @engine = engine
          @charge = charge
          @health = health
          @batteries = sheet.parts.grep(Circuits::Parts::Battery).reject { |part| part.fields['active_in'] }.to_h { |part| [part.id, battery(part)] }
          @motor = made_motor if starter_id && system.usual_cranking_current_ampere
          @generator = made_generator if alternator_part
        end

        # @return [String, nil] component
        def starter_id = @sheet.loops.find { |loop| loop.key == 'start' }&.load

        # @return [Circuits::Parts::Alternator, nil]
        def alternator_part = @sheet.parts.grep(Circuits::Parts::Alternator).first

        # @param index_part [String] component
        # @return [Boolean] whether it is one of those that are bolted on
        def holds?(index_part) = batteries.key?(index_part) || index_part == starter_id

        # @param element [String]
        # @param kind [String]
        # @return [Float, nil] how much
        def amount(element, kind) = @faults.find { |fault| fault.element == element && fault.kind == kind }&.amount

        # @param element [String]
        # @param kind [String]
        # @return [Boolean]
        def so?(element, kind) = @faults.any? { |fault| fault.element == element && fault.kind == kind }

        # @param id [String] of a battery's component
        # @return [String] position
        def position(id) = id[/_([A-D])(?:@|\z)/, 1] || @system.positions.first

        private

        def battery(part)
          position = position(part.id)
          boxed = part.id[/_([A-D])(?:@|\z)/].nil? && @system.bank?
          rating = @system.batteries[position]&.rating&.sae_ampere || 700.0
          side_by_side = boxed && @system.parallel? ? @system.battery_count : 1
          in_a_row = boxed && @system.series? ? @system.battery_count : 1
          Accumulator.new(sae_ampere: rating * @health.fetch(position, 1.0) * side_by_side, celsius: @celsius,
                          cells: (6 * @system.blocks_per_battery * in_a_row).round, charge: @charge.fetch(position, 1.0),
                          dead_cells: @faults.count { |fault| fault.kind == 'cell' && fault.position == position })
        end

        def made_motor
          ails = { series_ohm: amount('starter', 'brushes'), friction: amount('starter', 'bush'), turns: amount('starter', 'turns'),
                   drag: so?('engine', 'locked') ? Motor::LOCKED : amount('engine', 'drags'),
                   slips: so?('starter', 'spins') || so?('engine', 'toothless') ? 0.03 : nil }.compact
          Motor.new(usual_ampere: @system.usual_cranking_current_ampere, system_volt: @system.system_volt, celsius: @celsius, ails: ails,
                    draw: -> { @random.rand })
        end

        def made_generator
          ails = { share: so?('alternator', 'dead') ? Generator::DEAD_SHARE : amount('alternator', 'half'), grip: amount('belt', 'slips'),
                   shift: (amount('alternator', 'high') || 0.0) - (amount('alternator', 'low') || 0.0) + (0.06 * ((2 * @random.rand) - 1)) }.compact
          Generator.new(rating_ampere: @system.alternator_rating_ampere || 80.0, blocks: @system.system_volt / 12.0, celsius: @celsius,
                        engine: @engine, setpoint: alternator_part.fields['volt'], ails: ails)
        end
      end
    end
  end
end
