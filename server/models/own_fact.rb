# frozen_string_literal: true

module Server
  module Models
    # That a unit has something otherwise than its sheet, or has it as the sheet again: who said so, and why. The last one holds.
    class OwnFact < Sequel::Model(:own_fact)
      dataset_module do
        # @param fitted [UnitSheet]
        def of(fitted) = where(unit_id: fitted.unit_id, sheet_id: fitted.sheet_id)

        # The last word on each fact.
        #
        # SQL: select distinct on (item_uuid, field) * from own_fact where unit_id = ? and sheet_id = ? order by item_uuid, field, id desc
        def last_words = distinct(:item_uuid, :field).order(:item_uuid, :field, Sequel.desc(:id))
      end
    end
  end
end
