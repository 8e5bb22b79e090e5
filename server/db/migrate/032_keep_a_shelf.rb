# frozen_string_literal: true

# What is done with a spare battery while no unit has it: its volts at rest read, charged.
Sequel.migration do
  up do
    create_table(:shelf_check) do
      uuid :id, primary_key: true
      foreign_key :battery_id, :battery, type: :uuid, null: false
      Float :rest_volt
      TrueClass :charged, null: false, default: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :checked_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[battery_id checked_at]
      constraint(:shelf_check_says_something, Sequel.lit('charged or rest_volt is not null'))
      constraint(:shelf_check_volts, Sequel.lit('rest_volt between 0 and 64'))
    end
    run 'create trigger append_only before update or delete on shelf_check for each row execute function refuse_change()'
    run 'create trigger append_only_whole before truncate on shelf_check for each statement execute function refuse_change()'
    alter_table(:battery) { add_column :scrapped_because, String }
  end

  down do
    alter_table(:battery) { drop_column :scrapped_because }
    drop_table(:shelf_check)
  end
end
