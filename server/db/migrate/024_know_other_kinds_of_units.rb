# frozen_string_literal: true

# Units of 6 V and packs of 48 V, converters instead of alternators, positive grounds, insulated returns, equalisers.
Sequel.migration do
  known = Sequel.lit("(arrangement = 'single' and system_volt = 12 and battery_count = 1) or " \
                     "(arrangement = 'parallel' and system_volt = 12 and battery_count between 2 and 4) or " \
                     "(arrangement = 'series' and system_volt = 24 and battery_count = 2) or " \
                     "(arrangement = 'none' and battery_count = 0 and usual_cranking_current_ampere is null)")
  others = Sequel.lit("(arrangement = 'single' and system_volt in (6, 48) and battery_count = 1) or " \
                      "(arrangement = 'parallel' and system_volt = 6 and battery_count between 2 and 4)")

  up do
    alter_table(:unit) do
      drop_constraint :unit_battery_arrangement
      drop_constraint :unit_regulator_known
      add_column :grounding, String, null: false, default: 'negative'
      add_column :has_equaliser, TrueClass, null: false, default: false
      add_constraint(:unit_battery_arrangement, Sequel.|(known, others))
      add_constraint(:unit_regulator_known, regulator: %w[internal external_a external_b commanded dc_dc])
      add_constraint(:unit_grounding_known, grounding: %w[negative positive insulated])
      add_constraint(:unit_equaliser_on_series, Sequel.lit("not has_equaliser or arrangement = 'series'"))
    end
    alter_table(:sheet_version) do
      drop_constraint :sheet_version_volt_known
      add_constraint(:sheet_version_volt_known, system_volt: [6, 12, 24, 48])
    end
  end

  down do
    unheld = from(:unit).where(Sequel.|({ system_volt: [6, 48] }, { regulator: 'dc_dc' }, Sequel.~(grounding: 'negative'), { has_equaliser: true }))
    unless unheld.empty? && from(:sheet_version).where(system_volt: [6, 48]).empty?
      raise Sequel::Error, 'there are units or sheets of kinds that the older tables can not hold: restore an older backup instead'
    end

    alter_table(:sheet_version) do
      drop_constraint :sheet_version_volt_known
      add_constraint(:sheet_version_volt_known, system_volt: [12, 24])
    end
    alter_table(:unit) do
      drop_constraint :unit_equaliser_on_series
      drop_constraint :unit_grounding_known
      drop_constraint :unit_regulator_known
      drop_constraint :unit_battery_arrangement
      drop_column :has_equaliser
      drop_column :grounding
      add_constraint(:unit_battery_arrangement, known)
      add_constraint(:unit_regulator_known, regulator: %w[internal external_a external_b commanded])
    end
  end
end
