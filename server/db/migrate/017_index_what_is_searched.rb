# frozen_string_literal: true

# Measured with 5,000 units and 2,000,000 readings (bench/scale.rb). Finding by parts of a name needs trigrams. Partial indexes say their
# condition as the queries do.
Sequel.migration do
  up do
    run 'create extension if not exists pg_trgm'
    run "create index reading_battery_test on reading (battery_id, taken_at desc) where test_key = 'battery_test'"
    run 'create index reading_unit_taken on reading (unit_id, taken_at desc)'
    run "create index job_unfinished on job (opened_at desc) where state in ('open', 'parked')"
    run 'create index job_state_opened on job (state, opened_at desc)'
    run 'create index job_event_job on job_event (job_id, at)'
    run 'create index attempt_job on attempt (job_id)'
    run 'create index repair_temporary on repair (temporary_until) where temporary and made_permanent_at is null'
    run 'create index repair_failing_reading on repair (failing_reading_id)'
    run 'create index fitting_unit on fitting (unit_id)'
    run 'create index fitting_battery on fitting (battery_id)'
    run 'create index unit_yard on unit (yard_id)'
    run 'create index unit_sheet_unit on unit_sheet (unit_id)'
    run 'create index unit_sheet_version on unit_sheet (version_id)'
    run 'create index unit_find on unit using gin (number gin_trgm_ops, name gin_trgm_ops)'
    run 'create index battery_find on battery using gin (tag gin_trgm_ops)'
    run 'create index sheet_item_find on sheet_item using gin (name gin_trgm_ops)'
  end

  down do
    run 'drop index reading_battery_test, reading_unit_taken, job_unfinished, job_state_opened, job_event_job, attempt_job, repair_temporary, ' \
        'repair_failing_reading, fitting_unit, fitting_battery, unit_yard, unit_sheet_unit, unit_sheet_version, unit_find, battery_find, ' \
        'sheet_item_find'
    run 'drop extension pg_trgm'
  end
end
