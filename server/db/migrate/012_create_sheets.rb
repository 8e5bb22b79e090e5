# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:sheet) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      String :key, null: false
      index Sequel.function(:lower, :key), unique: true, name: :sheet_key_key
    end
    create_table(:sheet_version) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :sheet_id, :sheet, type: :uuid, null: false
      Integer :n, null: false
      String :title, null: false
      Integer :system_volt, null: false
      String :digest, null: false
      String :content, text: true, null: false
      Time :frozen_at
      foreign_key :person_id, :account, type: :Bignum
      Time :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      unique %i[sheet_id n], name: :sheet_version_number_key
      unique %i[sheet_id digest], name: :sheet_version_digest_key
      constraint(:sheet_version_volt_known, system_volt: [12, 24])
    end
    create_table(:sheet_item) do
      foreign_key :version_id, :sheet_version, type: :uuid, null: false
      uuid :item_uuid, null: false
      String :kind, null: false
      String :name, null: false
      String :label, null: false
      index %i[version_id name]
      constraint(:sheet_item_kind_known, kind: %w[part wire pin])
    end
    create_table(:unit_sheet) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :unit_id, :unit, type: :uuid, null: false
      foreign_key :sheet_id, :sheet, type: :uuid, null: false
      foreign_key :version_id, :sheet_version, type: :uuid, null: false
      column :overrides, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      column :during, :tstzrange, null: false
      Integer :lock_version, null: false, default: 0
      constraint(:unit_sheet_during_not_empty, Sequel.lit('not isempty(during)'))
      exclude [[:unit_id, '='], [:sheet_id, '='], [:during, '&&']], using: :gist, name: :unit_sheet_once_at_a_time
    end
    create_table(:place_pin) do
      foreign_key :place_id, :place, type: :uuid, null: false
      foreign_key :unit_sheet_id, :unit_sheet, type: :uuid, null: false
      uuid :item_uuid, null: false
      String :pin, null: false
      primary_key %i[unit_sheet_id place_id]
    end
    create_table(:job_sheet) do
      foreign_key :job_id, :job, type: :uuid, null: false
      foreign_key :version_id, :sheet_version, type: :uuid, null: false
      column :overrides, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      String :overrides_digest, null: false
      primary_key %i[job_id version_id]
    end
    create_table(:ruling) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      String :conflict_key, null: false
      String :words, null: false
      String :choice, null: false
      String :note, null: false, default: ''
      column :overrides, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[unit_id conflict_key at]
    end
    %i[ruling job_sheet sheet_item].each do |table|
      run "create trigger append_only before update or delete on #{table} for each row execute function refuse_change()"
      run "create trigger append_only_whole before truncate on #{table} for each statement execute function refuse_change()"
    end
    run <<~SQL
      create function refuse_changed_content() returns trigger language plpgsql as $$
      begin
        if tg_op = 'DELETE' or new.content <> old.content or (old.frozen_at is not null and new.frozen_at is distinct from old.frozen_at) then
          raise exception 'a sheet version keeps its content: make a new version' using errcode = 'restrict_violation';
        end if;
        return new;
      end $$
    SQL
    run 'create trigger keeps_content before update or delete on sheet_version for each row execute function refuse_changed_content()'
    %i[unit_sheet].each do |table|
      run "create trigger audited after insert or update or delete on #{table} for each row execute function note_in_audit()"
    end
  end

  down do
    drop_table(:ruling, :job_sheet, :place_pin, :unit_sheet, :sheet_item, :sheet_version, :sheet)
    run 'drop function refuse_changed_content()'
  end
end
