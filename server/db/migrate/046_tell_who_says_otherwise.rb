# frozen_string_literal: true

# What a unit has otherwise than its sheet: who said so, why, and what stood there before. What holds now stays with the sheet on the unit.
Sequel.migration do
  up do
    create_table(:own_fact) do
      primary_key :id, type: :Bignum
      foreign_key :unit_id, :unit, type: :uuid, null: false
      foreign_key :sheet_id, :sheet, type: :uuid, null: false
      uuid :item_uuid, null: false
      String :item, null: false
      String :field, null: false
      String :was, text: true
      String :says, text: true
      String :why, text: true, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[unit_id sheet_id item_uuid field id]
    end
  end

  down { drop_table(:own_fact) }
end
