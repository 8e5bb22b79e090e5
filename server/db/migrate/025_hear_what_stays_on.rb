# frozen_string_literal: true

# A complaint can be that something runs when it should be off.
Sequel.migration do
  up do
    alter_table(:job_symptom) do
      drop_constraint :job_symptom_seen_known
      add_constraint(:job_symptom_seen_known, seen: %w[dead weak comes_and_goes stays_on])
    end
  end

  down do
    unless from(:job_symptom).where(seen: 'stays_on').empty?
      raise Sequel::Error, 'there are jobs about things that stay on, which the older tables can not hold: restore an older backup instead'
    end

    alter_table(:job_symptom) do
      drop_constraint :job_symptom_seen_known
      add_constraint(:job_symptom_seen_known, seen: %w[dead weak comes_and_goes])
    end
  end
end
