# frozen_string_literal: true

# Engines without battery or starter, regulators outside the alternator or commanded, and a neutral switch in the start relay's coil.
Sequel.migration do
  known = Sequel.lit("(arrangement = 'single' and system_volt = 12 and battery_count = 1) or " \
                     "(arrangement = 'parallel' and system_volt = 12 and battery_count between 2 and 4) or " \
                     "(arrangement = 'series' and system_volt = 24 and battery_count = 2)")
  without = Sequel.lit("arrangement = 'none' and battery_count = 0 and usual_cranking_current_ampere is null")

  up do
    alter_table(:unit) do
      drop_constraint :unit_battery_arrangement
      set_column_allow_null :usual_cranking_current_ampere
      add_column :regulator, String, null: false, default: 'internal'
      add_column :neutral_interlock, TrueClass, null: false, default: false
      add_constraint(:unit_battery_arrangement, Sequel.|(known, without))
      add_constraint(:unit_regulator_known, regulator: %w[internal external_a external_b commanded])
    end
  end

  down do
    unless from(:unit).where(usual_cranking_current_ampere: nil).empty?
      raise Sequel::Error, 'there are units without a starter, which the older tables can not hold: restore an older backup instead'
    end

    alter_table(:unit) do
      drop_constraint :unit_regulator_known
      drop_constraint :unit_battery_arrangement
      drop_column :neutral_interlock
      drop_column :regulator
      set_column_not_null :usual_cranking_current_ampere
      add_constraint(:unit_battery_arrangement, known)
    end
  end
end
