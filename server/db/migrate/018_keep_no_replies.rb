# frozen_string_literal: true

# A write done before is answered with what it was about as it stands now: no reply is kept, which took 35 kB a write for ever.
Sequel.migration do
  up do
    alter_table(:request) do
      drop_column :reply
      drop_column :status
      add_column :about_id, String
    end
  end

  down do
    alter_table(:request) do
      drop_column :about_id
      add_column :status, Integer
      add_column :reply, :jsonb
    end
  end
end
