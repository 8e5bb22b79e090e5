# frozen_string_literal: true

# The last crank test of a unit that still holds, and what was last measured of it asleep: one row a unit, worked out with the reading that
# changes it, so that thresholds of a whole fleet are worked out without looking through its readings. May be worked out anew at any time.
Sequel.migration do
  up do
    create_table(:start_state) do
      foreign_key :unit_id, :unit, type: :uuid, primary_key: true, on_delete: :cascade
      Float :rest_volt
      Float :posts_volt
      Float :drop_volt
      Float :celsius
      Float :ampere
      Float :speed_rpm
      Time :cranked_at
      Float :asleep_ampere
      Time :asleep_at
      constraint(:start_state_crank_whole, Sequel.lit('(cranked_at is null) = (posts_volt is null) and (cranked_at is null) = (rest_volt is null)'))
      constraint(:start_state_asleep_whole, Sequel.lit('(asleep_at is null) = (asleep_ampere is null)'))
    end
    alter_table(:start_threshold) { add_column :asleep_ampere, Float }
  end

  down do
    alter_table(:start_threshold) { drop_column :asleep_ampere }
    drop_table(:start_state)
  end
end
