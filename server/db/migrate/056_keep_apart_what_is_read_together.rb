# frozen_string_literal: true

# When each round was made last stands with what else a unit is like, so that what is due is one look at the fleet; until now every unit's readings
# were looked at each time. What a threshold was heard from is long, is written every morning and is needed by nobody who looks at a list: it gets a
# table of its own, so that the rows of the list stay short.
Sequel.migration do
  up do
    tests = { batteries_round_at: 'battery_test', start_round_at: 'posts_cranking', charge_round_at: 'charging_fast_idle' }
    alter_table(:unit_standing) { tests.each_key { |name| add_column name, Time } }
    newest = tests.map do |name, test_key|
      "#{name} = (select taken_at from reading where reading.unit_id = unit_standing.unit_id and test_key = '#{test_key}' " \
        'and not exists (select 1 from reading as newer where newer.supersedes_id = reading.id) ' \
        'and not exists (select 1 from withdrawal where withdrawal.reading_id = reading.id) ' \
        "and coalesce(conditions ->> 'repair_undone', 'no') <> 'yes' order by taken_at desc limit 1)"
    end
    run "update unit_standing set #{newest.join(', ')}"
    create_table(:start_evidence) do
      foreign_key :unit_id, :start_threshold, key: :unit_id, type: :uuid, primary_key: true, on_delete: :cascade
      column :told_logs, :jsonb, null: false
      column :before_last, :jsonb, null: false
    end
    run 'insert into start_evidence (unit_id, told_logs, before_last) select unit_id, told_logs, before_last from start_threshold ' \
        'where told_logs is not null and before_last is not null'
    alter_table(:start_threshold) do
      drop_column :told_logs
      drop_column :before_last
    end
  end

  down do
    alter_table(:start_threshold) do
      add_column :told_logs, :jsonb
      add_column :before_last, :jsonb
    end
    run 'update start_threshold set told_logs = heard.told_logs, before_last = heard.before_last from start_evidence as heard ' \
        'where heard.unit_id = start_threshold.unit_id'
    drop_table(:start_evidence)
    alter_table(:unit_standing) { %i[batteries_round_at start_round_at charge_round_at].each { |name| drop_column name } }
  end
end
