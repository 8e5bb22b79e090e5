# frozen_string_literal: true

module Server
  module Models
    # Local truth: how a conflict of the drawings was settled on one unit, by whom. A later ruling stands before an earlier one.
    class Ruling < Sequel::Model(:ruling)
      unrestrict_primary_key

      dataset_module do
        # The newest ruling on each conflict.
        #
        # SQL: select distinct on (conflict_key) * from ruling where unit_id = ? order by conflict_key, at desc
        def in_force(unit_id) = where(unit_id: unit_id).distinct(:conflict_key).order(:conflict_key, Sequel.desc(:at))
      end
    end
  end
end
