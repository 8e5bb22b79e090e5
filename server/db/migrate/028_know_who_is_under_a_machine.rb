# frozen_string_literal: true

# Somebody under the machine is known on every device that works on the job: nobody cranks.
Sequel.migration do
  change do
    alter_table(:job) do
      add_foreign_key :under_machine_id, :account, type: :Bignum
      add_column :under_machine_since, Time
      add_constraint(:job_under_machine_whole, Sequel.lit('(under_machine_id is null) = (under_machine_since is null)'))
    end
  end
end
