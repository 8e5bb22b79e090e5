# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # Engine control unit, timer, regulator, heater controller: supplies and grounds inside it, references for sensors,
      # inputs, and drivers that pull a pin to ground or to supply.
      #
      # Roles of pins: supply, ground, input, signal (a sensor's), reference (feeds sensors), return (their ground),
      # low_side and high_side (drivers).
      class ControlUnit < Part
        SUPPLY_OHM = 0.01
        GROUND_OHM = 0.005
        RETURN_OHM = 0.02
        REFERENCE_OHM = 2.0
        DRIVER_OHM = 0.08
        INPUT_OHM = 10_000.0
        SIGNAL_OHM = 1_000_000.0
        # A sensor signal that moves by more than this means that something in its circuit changed.
        SIGNAL_MOVES_VOLT = 0.25
        # Under this share of the system a control unit does not run (common practice: 6 V of 12).
        RUNS_RATIO = 0.5

        def pins = rows.map { |row| row['pin'].to_s }

        def branches = [quiescent, *rows.flat_map { |row| inside(row) }]

        def watches
          signals = rows.select { |row| row['role'] == 'signal' }.map { |row| signal_watch(row) }
          any?('supply') ? [supply_watch, *signals] : signals
        end

        # @param pin [String]
        # @return [String, nil] supply, ground, low_side ...
        def role(pin) = rows.find { |row| row['pin'].to_s == pin }&.fetch('role')

        # @param pin [String]
        # @return [String, nil] when a driver's pin comes and for how long, in words
        def timing(pin)
          row = rows.find { |one| one['pin'].to_s == pin } || {}
          words = [row['after_s'] && "after #{row['after_s']} s", row['for_s'] && "for #{row['for_s']} s"].compact
          words.empty? ? nil : words.join(', ')
        end

        private

        def rows = fields['pins'] || []
        def any?(role) = rows.any? { |row| row['role'] == role }
        def ground = "#{id}:ground inside"
        def supply = "#{id}:supply inside"
        def runs_from_volt = number('runs_from_volt', system_volt * RUNS_RATIO)
        def at(row) = node(row['pin'])

        def quiescent
          PartBranch.new(from: supply, to: ground, ohm: number('draws_ohm', system_volt * 4.0), name: 'what it takes itself')
        end

        def inside(row)
          name = "#{row['role']} #{row['pin']}".tr('_', ' ')
          case row['role']
          when 'supply' then [PartBranch.new(from: at(row), to: supply, ohm: SUPPLY_OHM, name: name)]
          when 'ground' then [PartBranch.new(from: at(row), to: ground, ohm: GROUND_OHM, name: name)]
          when 'return' then [PartBranch.new(from: at(row), to: ground, ohm: RETURN_OHM, name: name)]
          when 'reference' then [reference(row, name)]
          when 'input' then [PartBranch.new(from: at(row), to: ground, ohm: row.fetch('ohm', INPUT_OHM).to_f, name: name)]
          when 'signal' then signal(row, name)
          else [driver(row, name)]
          end
        end

        def reference(row, name)
          PartBranch.new(from: at(row), to: ground, ohm: REFERENCE_OHM, volt: row.fetch('volt', 5).to_f, gate: :driven, name: name,
                         driver: PartBranch::Driver.new(states: nil, needs: [runs], ground: ground))
        end

        def signal(row, name)
          pull_up = row['pull_up_ohm'] && PartBranch.new(from: at(row), to: node(row['pull_up_to']), ohm: row['pull_up_ohm'].to_f,
                                                         name: "pull-up of #{row['pin']}")
          [PartBranch.new(from: at(row), to: ground, ohm: row.fetch('ohm', SIGNAL_OHM).to_f, name: name), *pull_up]
        end

        def runs = PartBranch::Need.new(pin: supply, least_volt: runs_from_volt)

        # A driver that must work before the unit has its own supply (a main relay's) is powered by its input.
        def driver(row, name)
          needs = Array(row['needs']).map { |pin| PartBranch::Need.new(pin: node(pin), least_volt: runs_from_volt) }
          needs += [runs] unless row['powered_by_input']
          other = row['role'] == 'high_side' ? [supply, at(row)] : [at(row), ground]
          PartBranch.new(from: other.first, to: other.last, ohm: row.fetch('ohm', DRIVER_OHM).to_f, gate: :driven, name: name,
                         driver: PartBranch::Driver.new(states: (row['active_in'] || []).map(&:to_s), needs: needs, ground: ground,
                                                        after_s: row['after_s'], for_s: row['for_s']))
        end

        def supply_watch
          Watch.new(key: id, label: "#{label} runs", kind: 'control_unit', from: supply, to: ground, least_volt: runs_from_volt,
                    codes: fields.fetch('codes', []).map(&:to_s))
        end

        def signal_watch(row)
          Watch.new(key: at(row), label: row['name'] || "signal #{row['pin']}", kind: 'signal', from: at(row), to: ground,
                    least_volt: nil, codes: (row['codes'] || []).map(&:to_s))
        end
      end
    end
  end
end
