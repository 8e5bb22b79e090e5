# frozen_string_literal: true

module Server
  module Models
    # What a battery is worth by its newest standing test and what it rested at: a row that can be worked out anew at any time, written with
    # the reading, the withdrawal or the judgement that changes it.
    class BatteryState < Sequel::Model(:battery_state)
      unrestrict_primary_key
      many_to_one :battery, class: 'Server::Models::Battery'
      TO_MIND = %w[act watch].freeze

      dataset_module do
        def to_mind = where(Sequel[:battery_state][:verdict] => TO_MIND)
      end

      class << self
        # @param battery_ids [Array<String>]
        # @return [Integer] how many rows were written
        def work_out(battery_ids)
          return 0 if battery_ids.empty?

          db.transaction do
            alone(battery_ids)
            found = fresh(battery_ids)
            columns = found.columns
            updates = (columns - [:battery_id]).to_h { |name| [name, Sequel[:excluded][name]] }
            written = dataset.insert_conflict(target: :battery_id, update: updates).returning(:battery_id).insert(columns, found).size
            judge_shelf_tests(battery_ids)
            written
          end
        end

        # All of them, as after an import.
        #
        # @return [Integer]
        def work_out_all = Battery.order(:id).select_map(:id).each_slice(AT_ONCE).sum { |ids| work_out(ids) }

        AT_ONCE = 1000
        private_constant :AT_ONCE

        private

        # One after another and in one order: none is worked out of what stood before another's write.
        def alone(battery_ids) = Battery.where(id: battery_ids).order(:id).lock_style('FOR NO KEY UPDATE').select_map(:id)

        # A reading is judged again beside its first judgement; of a tester on the shelf only what it is worth by now is kept, by the label and
        # the limits of now.
        def judge_shelf_tests(battery_ids)
          where(battery_id: battery_ids, test_id: nil).exclude(tested_at: nil).eager(:battery).all.each do |state|
            check = ShelfCheck.exclude(tester_ampere: nil).where(battery_id: state.battery_id, checked_at: state.tested_at).first
            judgement = check.judgement(state.battery)
            state.update(verdict: judgement.verdict, snapshot: Sequel.pg_jsonb(judgement.to_h.transform_keys(&:to_s)))
          end
        end

        # SQL: select battery.id, test.*, rest.* from battery
        #      left join lateral (newest standing battery_test or tester on the shelf that is not unproven, by its newest judgement) as test on true
        #      left join lateral (newest standing rest_voltage) as rest on true where battery.id in ?
        def fresh(battery_ids)
          health = Sequel.expr(100.0) * Sequel[:test][:value] / Sequel[:battery][:rating_ampere]
          Battery.where(Sequel[:battery][:id] => battery_ids).left_join(newest_test.lateral.as(:test), true)
                 .left_join(newest('rest_voltage').lateral.as(:rest), true)
                 .select(Sequel[:battery][:id].as(:battery_id), Sequel[:test][:id].as(:test_id), Sequel[:test][:taken_at].as(:tested_at),
                         health.as(:health_percent), Sequel[:test][:verdict], Sequel[:test][:snapshot],
                         Sequel[:rest][:id].as(:rest_id), Sequel[:rest][:taken_at].as(:rest_at), Sequel[:rest][:value].as(:rest_volt))
        end

        # In a unit or on the shelf, whichever came later.
        def newest_test
          judgement = Judgement.where(reading_id: Sequel[:reading][:id]).order(Sequel.desc(:made_at), :occasion).limit(1)
          in_units = newest('battery_test').join(judgement.lateral.as(:judged), true).exclude(Sequel[:judged][:verdict] => 'unproven')
                                           .select_append(Sequel[:judged][:verdict], Sequel[:judged][:snapshot])
          db.from(in_units.naked.union(on_shelf, all: true, from_self: false).as(:tests)).order(Sequel.desc(:taken_at)).limit(1)
        end

        def on_shelf
          ShelfCheck.naked.where(Sequel[:shelf_check][:battery_id] => Sequel[:battery][:id]).exclude(tester_ampere: nil).exclude(verdict: 'unproven')
                    .order(Sequel.desc(:checked_at)).limit(1)
                    .select(Sequel.cast(nil,
                                        :uuid).as(:id), Sequel[:checked_at].as(:taken_at), Sequel[:tester_ampere].as(:value), :verdict, :snapshot)
                    .from_self(alias: :shelf)
        end

        # A figure over none is no reading of it.
        def newest(test_key)
          Reading.standing.where(Sequel[:reading][:battery_id] => Sequel[:battery][:id], Sequel[:reading][:test_key] => test_key)
                 .exclude(Sequel[:reading][:value] => nil)
                 .order(*%i[taken_at received_at].map { |column| Sequel.desc(Sequel[:reading][column]) }).limit(1)
                 .select(Sequel[:reading][:id], Sequel[:reading][:taken_at], Sequel[:reading][:value])
        end
      end
    end
  end
end
