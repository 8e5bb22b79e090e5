# frozen_string_literal: true

# A tester put on a spare, and what it was worth when it was: as good as one in a unit.
Sequel.migration do
  up do
    alter_table(:shelf_check) do
      add_column :tester_ampere, Float
      add_column :celsius, Float
      add_column :verdict, String
      add_column :validity, String
      add_column :snapshot, :jsonb
      drop_constraint :shelf_check_says_something
      add_constraint(:shelf_check_says_something, Sequel.lit('charged or rest_volt is not null or tester_ampere is not null'))
      add_constraint(:shelf_check_test_whole,
                     Sequel.lit('(tester_ampere is null) = (verdict is null) and (tester_ampere is null) = (snapshot is null)'))
    end
    run 'create index shelf_check_test on shelf_check (battery_id, checked_at desc) where tester_ampere is not null'
  end

  down do
    run 'drop index shelf_check_test'
    alter_table(:shelf_check) do
      drop_constraint :shelf_check_test_whole
      drop_constraint :shelf_check_says_something
      %i[snapshot validity verdict celsius tester_ampere].each { |name| drop_column name }
      add_constraint(:shelf_check_says_something, Sequel.lit('charged or rest_volt is not null'))
    end
  end
end
