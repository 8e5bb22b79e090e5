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
      MORNING = CORE::ColdStart::Morning
      # Further from its threshold every unit does what was said of it.
      LOOKED_CELSIUS = 12.0
      private_constant :AT_ONCE, :UNKNOWN, :MORNING, :LOOKED_CELSIUS

      class << self
        # @return [CORE::ColdStart::FleetPrior::Learnt]
        def now = first&.to_core || UNKNOWN

        # Every night, and the thresholds after it: what their mornings said stands, beside other expectations.
        #
        # @param now [Time]
        # @return [void]
        def work_out(now: Time.now.utc)
          each_some(StartThreshold.exclude(unit_id: db[:start_evidence].select(:unit_id))) { |unit_ids| StartThreshold.hear_all(unit_ids) }
          learnt = CORE::ColdStart::FleetPrior.new(seen).learnt
          lately = CORE::ColdStart::Lately.new(told_lately(now)).learnt
          row = { **learnt.to_h.except(:lately), classes: Sequel.pg_jsonb(learnt.classes), late_celsius: lately.celsius,
                  spread_ratio: lately.spread_ratio, worked_out_at: now }
          dataset.insert_conflict(target: :single, update: row).insert(single: true, **row)
          each_some(StartThreshold) { |unit_ids| StartThreshold.expect_anew(unit_ids) }
        end

        private

        def each_some(rows, &) = rows.order(:unit_id).select_map(:unit_id).each_slice(AT_ONCE, &)

        # SQL: select read_celsius, read_variance, told_logs, unit_class_id from start_threshold join unit left join start_evidence order by unit_id
        def seen
          StartThreshold.join(:unit, id: :unit_id).left_join(:start_evidence, unit_id: Sequel[:start_threshold][:unit_id])
                        .order(Sequel[:start_threshold][:unit_id]).select_map(%i[read_celsius read_variance told_logs unit_class_id])
                        .map { |row| CORE::ColdStart::FleetPrior::Seen.new(**CORE::ColdStart::FleetPrior::Seen.members.zip(row).to_h) }
        end

        # Of a unit that something was to be done about nobody knows how it would have gone.
        #
        # SQL: select yard_id, dawn, round(2 (own_celsius - low_celsius)) / 2, round(own_variance), outcome in <failed>, count(*)
        #      from morning join unit where dawn > ? and outcome in <telling> and own_celsius - low_celsius between -12 and 12
        #      and not exists (select 1 from remedy_plan where unit_id = morning.unit_id and dawn = morning.dawn) group by 1, 2, 3, 4, 5
        def told_lately(now)
          morning = Sequel[:morning]
          over = morning[:own_celsius] - morning[:low_celsius]
          planned = db[:remedy_plan].where(unit_id: morning[:unit_id], dawn: morning[:dawn])
          db[:morning].join(:unit, id: :unit_id).exclude(planned.exists)
                      .where(morning[:outcome] => MORNING::TELLING.keys, over => -LOOKED_CELSIUS..LOOKED_CELSIUS)
                      .where(morning[:dawn] > now.to_date - CORE::ColdStart::Lately::DAYS)
                      .group(1, 2, 3, 4, 5)
                      .select_map([Sequel[:unit][:yard_id], morning[:dawn], (Sequel.function(:round, over * 2) / 2).as(:over),
                                   Sequel.function(:round, morning[:own_variance]).as(:variance),
                                   Sequel.expr(morning[:outcome] => MORNING::FAILED).as(:failed), Sequel.function(:count).*.as(:units)])
                      .map { |yard_id, dawn, *told| said_and_happened([yard_id, dawn], (now.to_date - dawn).to_i, *told) }
        end

        def said_and_happened(night, days_ago, over_celsius, variance, failed, units)
          CORE::ColdStart::Lately::Told.new(night: night, days_ago: days_ago, over_celsius: over_celsius, variance: variance, failed: failed,
                                            units: units)
        end
      end

      # @return [CORE::ColdStart::Lately::Learnt]
      def lately = CORE::ColdStart::Lately::Learnt.new(celsius: late_celsius, spread_ratio: spread_ratio)

      # @return [CORE::ColdStart::FleetPrior::Learnt]
      def to_core
        CORE::ColdStart::FleetPrior::Learnt.new(celsius: celsius, doubt: doubt, spread: spread, reading_celsius: reading_celsius, ratio: ratio,
                                                classes: classes.to_h, lately: lately)
      end
    end
  end
end
