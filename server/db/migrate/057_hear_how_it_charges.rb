# frozen_string_literal: true

# A complaint about charging can be that it charges too much, or that the batteries go flat while nothing runs.
Sequel.migration do
  up do
    alter_table(:job_symptom) do
      drop_constraint :job_symptom_seen_known
      add_constraint(:job_symptom_seen_known, seen: %w[dead weak comes_and_goes stays_on overcharges goes_flat])
    end
  end

  down do
    unless from(:job_symptom).where(seen: %w[overcharges goes_flat]).empty?
      raise Sequel::Error, 'there are jobs about too much charge or about batteries that go flat standing, which the older tables can not hold: ' \
                           'restore an older backup instead'
    end

    alter_table(:job_symptom) do
      drop_constraint :job_symptom_seen_known
      add_constraint(:job_symptom_seen_known, seen: %w[dead weak comes_and_goes stays_on])
    end
  end
end
