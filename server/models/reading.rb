# frozen_string_literal: true

module Server
  module Models
    # A reading as it was taken. Append-only: a correction is another row that supersedes it.
    class Reading < Sequel::Model(:reading)
      unrestrict_primary_key
      many_to_one :battery, class: 'Server::Models::Battery'
      many_to_one :from_place, class: 'Server::Models::Place'
      many_to_one :to_place, class: 'Server::Models::Place'

      dataset_module do
        # Neither superseded nor withdrawn, nor taken with a repair undone for its proof.
        #
        # SQL: not exists (select 1 from reading better where better.supersedes_id = reading.id)
        #      and not exists (select 1 from withdrawal where reading_id = reading.id)
        #      and coalesce(conditions ->> 'repair_undone', 'no') <> 'yes'
        def standing
          mine = Sequel[first_source_alias][:id]
          better = model.from(Sequel[:reading].as(:better)).where(Sequel[:better][:supersedes_id] => mine).select(1)
          undone = Sequel.pg_jsonb_op(Sequel[first_source_alias][:conditions]).get_text('repair_undone')
          exclude(better.exists).exclude(Withdrawal.where(Sequel[:withdrawal][:reading_id] => mine).select(1).exists)
                                .exclude(Sequel.function(:coalesce, undone, 'no') => 'yes')
        end
      end

      # @return [Boolean] whether it was taken with a repair undone for its proof
      def repair_undone? = conditions.to_h['repair_undone'] == 'yes'

      # @return [Array] what it was read together with: on a job between the same two repairs, on a round within the same day
      def act = [job_id, repairs_before, (taken_at.to_date if job_id.nil?)]

      # @return [Boolean] whether it was read between two points of the circuit, not by a test of the catalogue
      def between_points? = test_key.nil?

      # @param circuit [Queries::JobCircuit, nil] whose nodes its points are; nil where only its words are asked for
      # @param opened [Array<String>] UUIDs of components whose plug was off
      # @return [Wattomneum::Readings::PointReading] both places must be loaded; a point that the circuit has lost is nil
      def to_point(circuit = nil, opened: [])
        from, to = [from_place, to_place].map { |place| circuit ? place.node_on(circuit, circuit.machine) : place.short }
        probe = Wattomneum::Readings::Probe.new(by: measured_by, from: from, to: to, situation: state,
                                                opened: circuit ? opened.filter_map { |uuid| circuit.apart_id(uuid) } : [])
        Wattomneum::Readings::PointReading.new(id: id, probe: probe, value: value, overload: overload, observation: observation, unit: unit_symbol,
                                               conditions: conditions.to_h, instrument: instrument, taken_at: taken_at, round: repairs_before,
                                               half_digit: half_digit)
      end

      # @return [Wattomneum::Readings::Reading] `battery` must be loaded
      def to_core
        Wattomneum::Readings::Reading.new(
          id: id, test_key: test_key, position: position, battery: battery&.to_core, value: value, overload: overload,
          cells: cells.to_a, observation: observation, unit: unit_symbol, state: state, conditions: conditions.to_h,
          instrument: instrument, taken_at: taken_at, round: repairs_before, half_digit: half_digit
        )
      end

      private

      # Of what was typed; words and cells have none.
      def half_digit
        return 0.0 if value.nil?

        Wattomneum::Quantities::Entry.new(text: value_text, unit: unit_symbol, quantity: quantity).half_digit
      rescue Wattomneum::InvalidQuantityError
        0.0
      end
    end
  end
end
