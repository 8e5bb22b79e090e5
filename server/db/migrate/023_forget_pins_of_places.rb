# frozen_string_literal: true

# Which pin a named place is, is read from the sheet that is fitted; the table that repeated it was written and never read.
Sequel.migration do
  up { drop_table(:place_pin) }

  # Empty: nothing of the older code reads it.
  down do
    create_table(:place_pin) do
      foreign_key :place_id, :place, type: :uuid, null: false
      foreign_key :unit_sheet_id, :unit_sheet, type: :uuid, null: false
      uuid :item_uuid, null: false
      String :pin, null: false
      primary_key %i[unit_sheet_id place_id]
    end
  end
end
