# frozen_string_literal: true

# Lithium and capacitor modules: entered as what they are, and not judged as lead and acid.
Sequel.migration do
  lead = %w[flooded maintenance_free agm gel]

  up do
    alter_table(:battery) do
      drop_constraint(:battery_type_known)
      add_constraint(:battery_type_known, type: [*lead, 'lithium', 'capacitor'])
    end
  end

  down do
    unless from(:battery).exclude(type: lead).empty?
      raise Sequel::Error, 'a battery is lithium or a capacitor module, which could not be told any more after this: change its type first'
    end

    alter_table(:battery) do
      drop_constraint(:battery_type_known)
      add_constraint(:battery_type_known, type: lead)
    end
  end
end
