# frozen_string_literal: true

module Server
  module Models
    # What the mornings of the whole fleet, of this winter and of those before, say of its units and of what readings are worth here: one row.
    class FleetPrior < Sequel::Model(:fleet_prior)
      unrestrict_primary_key
      CORE = Wattomneum
      UNKNOWN = CORE::ColdStart::FleetPrior.unknown
      # Units that wait for each other meanwhile.
      AT_ONCE = 100
      private_constant :AT_ONCE, :UNKNOWN

      class << self
        # @return [CORE::ColdStart::FleetPrior::Learnt]
        def now = first&.to_core || UNKNOWN

        # Every night, and the thresholds after it: what their mornings said stands, beside other expectations.
        #
        # @param now [Time]
        # @return [void]
        def work_out(now: Time.now.utc)
          each_some(StartThreshold.where(told_logs: nil)) { |unit_ids| StartThreshold.hear_all(unit_ids) }
          learnt = CORE::ColdStart::FleetPrior.new(seen).learnt
          row = { **learnt.to_h, classes: Sequel.pg_jsonb(learnt.classes), worked_out_at: now }
          dataset.insert_conflict(target: :single, update: row).insert(single: true, **row)
          each_some(StartThreshold) { |unit_ids| StartThreshold.expect_anew(unit_ids) }
        end

        private

        def each_some(rows, &) = rows.order(:unit_id).select_map(:unit_id).each_slice(AT_ONCE, &)

        # SQL: select read_celsius, read_variance, told_logs, unit_class_id from start_threshold join unit order by unit_id
        def seen
          StartThreshold.join(:unit, id: :unit_id).order(:unit_id).select_map(%i[read_celsius read_variance told_logs unit_class_id])
                        .map { |row| CORE::ColdStart::FleetPrior::Seen.new(**CORE::ColdStart::FleetPrior::Seen.members.zip(row).to_h) }
        end
      end

      # @return [CORE::ColdStart::FleetPrior::Learnt]
      def to_core
        CORE::ColdStart::FleetPrior::Learnt.new(celsius: celsius, doubt: doubt, spread: spread, reading_celsius: reading_celsius, ratio: ratio,
                                                classes: classes.to_h)
      end
    end
  end
end
