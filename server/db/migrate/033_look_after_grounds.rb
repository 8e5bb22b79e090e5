# frozen_string_literal: true

# What was done to a ground point or a strap, with its drop before and after at the same two points. Grounds go by the part or wire of the
# unit's circuit that they are. A row is never changed.
Sequel.migration do
  up do
    create_table(:ground_service) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      uuid :item_uuid, null: false
      String :label, null: false
      Float :before_volt
      Float :before_ampere
      Float :after_volt
      Float :after_ampere
      column :done, 'text[]', null: false, default: Sequel.lit("'{}'")
      String :note, null: false, default: ''
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :served_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[unit_id item_uuid served_at]
      constraint(:ground_service_before_whole, Sequel.lit('(before_volt is null) = (before_ampere is null)'))
      constraint(:ground_service_after_whole, Sequel.lit('(after_volt is null) = (after_ampere is null)'))
      constraint(:ground_service_says_something, Sequel.lit('before_volt is not null or after_volt is not null'))
      constraint(:ground_service_amperes, Sequel.lit('coalesce(before_ampere, 1) > 0 and coalesce(after_ampere, 1) > 0'))
    end
    run 'create trigger append_only before update or delete on ground_service for each row execute function refuse_change()'
    run 'create trigger append_only_whole before truncate on ground_service for each statement execute function refuse_change()'
  end

  down { drop_table(:ground_service) }
end
