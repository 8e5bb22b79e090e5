# frozen_string_literal: true

# What will not stop is a finding about a sheet, said in sentences. All of it is worked out anew: shorts to the live side count too, and what goes
# by the engine stays until that stands.
Sequel.migration do
  up do
    from(:stop_finding).delete
    alter_table(:stop_finding) { add_column :words, :jsonb, null: false, default: '[]' }
  end

  down { alter_table(:stop_finding) { drop_column :words } }
end
