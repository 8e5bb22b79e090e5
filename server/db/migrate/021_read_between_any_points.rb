# frozen_string_literal: true

# Readings between any two points of a unit's circuit, complaints as statements on it, repairs of any part of it. Evidence rows are added to,
# never changed. Going back is refused once something was kept that the older tables could not say.
Sequel.migration do
  up do
    alter_table(:place) do
      set_column_allow_null :key
      add_column :item_uuid, :uuid
      add_column :pin, String
      add_constraint(:place_is_somewhere, Sequel.lit('key is not null or (item_uuid is not null and pin is not null)'))
      add_index %i[unit_id item_uuid pin], unique: true, name: :place_pin_key, where: Sequel.lit('item_uuid is not null')
    end
    alter_table(:reading) do
      set_column_allow_null :test_key
      add_column :measured_by, String
      add_constraint(:reading_measured_somehow,
                     Sequel.lit('(test_key is null) <> (measured_by is null) and ' \
                                '(measured_by is null or (from_place_id is not null and to_place_id is not null))'))
      add_constraint(:reading_way_known, Sequel.lit("measured_by is null or measured_by in ('volts', 'ohms', 'current', 'lamp', 'seen')"))
    end
    create_table(:opened_at_reading) do
      foreign_key :reading_id, :reading, type: :uuid, null: false
      uuid :item_uuid, null: false
      primary_key %i[reading_id item_uuid]
    end
    run 'create trigger append_only before update or delete on opened_at_reading for each row execute function refuse_change()'
    run 'create trigger append_only_whole before truncate on opened_at_reading for each statement execute function refuse_change()'

    create_table(:job_symptom) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :job_id, :job, type: :uuid, null: false, unique: true
      String :work, null: false
      uuid :item_uuid
      String :label, null: false, default: ''
      String :situation, null: false
      String :seen, null: false, default: 'dead'
      constraint(:job_symptom_seen_known, seen: %w[dead weak comes_and_goes])
    end
    run <<~SQL
      insert into job_symptom (job_id, work, situation)
        select id, family, case family when 'starting' then 'cranking' else 'fast_idle' end from job
    SQL
    run 'create trigger audited after insert or update or delete on job_symptom for each row execute function note_in_audit()'
    alter_table(:job) do
      drop_constraint :job_family_known
      drop_column :family
    end

    %i[repair condemnation].each do |table|
      alter_table(table) do
        set_column_allow_null :element
        add_column :repair_unit, String
        add_column :item_uuids, 'uuid[]', null: false, default: Sequel.lit("'{}'::uuid[]")
        add_column :label, String
        add_constraint(:"#{table}_of_something",
                       Sequel.lit('(element is null) <> (repair_unit is null) and (repair_unit is null or label is not null)'))
      end
    end
  end

  down do
    kept = { reading: 'readings between two points', repair: 'repairs of parts of a circuit', condemnation: 'parts of a circuit condemned' }
    kept.each do |table, words|
      column = table == :reading ? :measured_by : :repair_unit
      next if from(table).exclude(column => nil).empty?

      raise Sequel::Error, "there are #{words}, which the older tables can not hold: restore an older backup instead"
    end
    unless from(:job_symptom).exclude(work: %w[starting charging]).empty?
      raise Sequel::Error, 'there are jobs about other things than starting and charging, which the older tables can not hold: ' \
                           'restore an older backup instead'
    end

    %i[repair condemnation].each do |table|
      alter_table(table) do
        drop_constraint :"#{table}_of_something"
        drop_column :label
        drop_column :item_uuids
        drop_column :repair_unit
        set_column_not_null :element
      end
    end
    alter_table(:job) { add_column :family, String }
    run 'alter table job disable trigger audited'
    run 'update job set family = job_symptom.work from job_symptom where job_symptom.job_id = job.id'
    run 'alter table job enable trigger audited'
    alter_table(:job) do
      set_column_not_null :family
      add_constraint(:job_family_known, family: %w[starting charging])
    end
    drop_table(:job_symptom, :opened_at_reading)
    alter_table(:reading) do
      drop_constraint :reading_way_known
      drop_constraint :reading_measured_somehow
      drop_column :measured_by
      set_column_not_null :test_key
    end
    from(:place).where(key: nil).delete
    alter_table(:place) do
      drop_index %i[unit_id item_uuid pin], name: :place_pin_key
      drop_constraint :place_is_somewhere
      drop_column :pin
      drop_column :item_uuid
      set_column_not_null :key
    end
  end
end
