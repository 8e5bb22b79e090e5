# frozen_string_literal: true

# What is watched until a day, with who is suspected; and how much it matters that a unit starts.
Sequel.migration do
  up do
    alter_table(:notice) do
      add_column :suspects, String, null: false, default: ''
      add_column :until, Date
      drop_constraint :notice_severity_known
      add_constraint(:notice_severity_known, severity: %w[holds soon later watch])
      add_constraint(:notice_watched_until, Sequel.lit("(severity = 'watch') = (until is not null)"))
    end
    alter_table(:unit) do
      add_column :matters, String, null: false, default: 'usual'
      add_constraint(:unit_matters_known, matters: %w[spare usual urgent])
    end
  end

  down do
    alter_table(:unit) do
      drop_constraint :unit_matters_known
      drop_column :matters
    end
    run 'alter table notice disable trigger audited'
    from(:notice).where(severity: 'watch').update(severity: 'later', until: nil)
    run 'alter table notice enable trigger audited'
    alter_table(:notice) do
      drop_constraint :notice_watched_until
      drop_constraint :notice_severity_known
      add_constraint(:notice_severity_known, severity: %w[holds soon later])
      drop_column :until
      drop_column :suspects
    end
  end
end
