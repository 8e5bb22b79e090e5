# frozen_string_literal: true

# Lists of what was seen are explained by how strongly everything works with each fault, no longer only by what falls dead.
Sequel.migration do
  up do
    from(:cause_table).delete
    alter_table(:cause_table) do
      drop_column :dead_sets
      add_column :strengths, :bytea
    end
  end

  down do
    from(:cause_table).delete
    alter_table(:cause_table) do
      drop_column :strengths
      add_column :dead_sets, :jsonb
    end
  end
end
