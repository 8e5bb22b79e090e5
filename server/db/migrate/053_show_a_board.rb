# frozen_string_literal: true

# What each unit is like, one row a unit, so that a board of the whole fleet is one look: worked out with the reading, the repair, the battery or
# the ground that changes it. May be worked out anew at any time.
Sequel.migration do
  up do
    create_table(:unit_standing) do
      foreign_key :unit_id, :unit, type: :uuid, primary_key: true, on_delete: :cascade
      Float :battery_percent
      Float :battery_yearly_percent
      String :battery_verdict, text: true
      Time :battery_at
      Integer :batteries_untested, null: false, default: 0
      Float :charging_volt
      Float :charging_low_volt
      Float :charging_high_volt
      Float :charging_yearly_volt
      String :charging_verdict, text: true
      Time :charging_at
      Float :feed_milliohm
      Float :return_milliohm
      String :path_verdict, text: true
      Time :path_at
      Float :ground_milliohm
      Time :ground_at
      Date :ground_due_on
      Integer :faults, null: false, default: 0
      String :again, text: true
      Time :worked_out_at, null: false
    end
  end

  down { drop_table(:unit_standing) }
end
