# frozen_string_literal: true

module Server
  module Models
    # A reading as it was taken. Append-only: a correction is another row that supersedes it.
    class Reading < Sequel::Model(:reading)
      unrestrict_primary_key
      many_to_one :battery, class: 'Server::Models::Battery'

      dataset_module do
        # Neither superseded nor withdrawn.
        #
        # SQL: not exists (select 1 from reading better where better.supersedes_id = reading.id)
        #      and not exists (select 1 from withdrawal where reading_id = reading.id)
        def standing
          mine = Sequel[first_source_alias][:id]
          better = model.from(Sequel[:reading].as(:better)).where(Sequel[:better][:supersedes_id] => mine).select(1)
          exclude(better.exists).exclude(Withdrawal.where(Sequel[:withdrawal][:reading_id] => mine).select(1).exists)
        end
      end

      # @return [Wattomneum::Readings::Reading] `battery` must be loaded
      def to_core
        Wattomneum::Readings::Reading.new(
          id: id, test_key: test_key, position: position, battery: battery&.to_core, value: value, overload: overload,
          cells: cells.to_a, observation: observation, unit: unit_symbol, state: state, conditions: conditions.to_h,
          instrument: instrument, taken_at: taken_at, round: repairs_before
        )
      end
    end
  end
end
