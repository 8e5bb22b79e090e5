# frozen_string_literal: true

# What a unit alone had said of a morning is kept beside what was said of it, so that the fleet's last weeks can be told from it; and by how much they
# move every threshold. A crank test is kept as it was read when the start is mended after it: what is known now is that test, moved by the mend.
Sequel.migration do
  up do
    alter_table(:start_state) { add_column :mended_since, TrueClass, null: false, default: false }
    alter_table(:morning) do
      add_column :own_celsius, Float
      add_column :own_variance, Float
    end
    %i[start_threshold fleet_prior].each do |table|
      alter_table(table) do
        add_column :late_celsius, Float, null: false, default: 0.0
        add_column :spread_ratio, Float, null: false, default: 1.0
      end
    end
  end

  down do
    %i[start_threshold fleet_prior].each do |table|
      alter_table(table) do
        drop_column :late_celsius
        drop_column :spread_ratio
      end
    end
    alter_table(:morning) do
      drop_column :own_celsius
      drop_column :own_variance
    end
    alter_table(:start_state) { drop_column :mended_since }
  end
end
