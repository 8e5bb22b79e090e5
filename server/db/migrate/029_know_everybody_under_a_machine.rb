# frozen_string_literal: true

# Two may be under one machine: each is known by themselves, so that one who comes out leaves the other known.
Sequel.migration do
  up do
    create_table(:under_machine) do
      foreign_key :job_id, :job, type: :uuid, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :since, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[job_id person_id]
    end
    said = from(:job).exclude(under_machine_id: nil).select(:id, :under_machine_id, :under_machine_since)
    from(:under_machine).insert(%i[job_id person_id since], said)
    alter_table(:job) do
      drop_constraint :job_under_machine_whole
      drop_column :under_machine_id
      drop_column :under_machine_since
    end
  end

  # The table before holds one a job: that anybody is, is kept.
  down do
    alter_table(:job) do
      add_foreign_key :under_machine_id, :account, type: :Bignum
      add_column :under_machine_since, Time
    end
    from(:under_machine).order(:since).each do |row|
      from(:job).where(id: row[:job_id]).update(under_machine_id: row[:person_id], under_machine_since: row[:since])
    end
    alter_table(:job) do
      add_constraint(:job_under_machine_whole, Sequel.lit('(under_machine_id is null) = (under_machine_since is null)'))
    end
    drop_table(:under_machine)
  end
end
