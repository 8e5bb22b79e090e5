# frozen_string_literal: true

module Server
  module Models
    # A limit as the fleet set it, with the reason and who it was.
    class LimitOverride < Sequel::Model(:limit_override)
      unrestrict_primary_key

      class << self
        # @return [Wattomneum::Limits::Table] what everything is judged by
        def in_force = Wattomneum::Limits::Table.shipped.with(select_hash(:limit_id, :value))

        # @param limit_id [String] row id of a limit
        # @param value [Float]
        # @param reason [String]
        # @raise [Wattomneum::Error] if a fleet may not set it to that
        def set(limit_id, value:, reason:, by:)
          Wattomneum::Limits::FleetSetting.new(in_force).check(limit_id, value)
          fields = { value: value, reason: reason, person_id: by.id, at: Sequel::CURRENT_TIMESTAMP }
          dataset.insert_conflict(target: :limit_id, update: fields).insert(limit_id: limit_id, **fields)
          judge_again(in_force.row(limit_id))
        end

        # Back to what is shipped.
        #
        # @param limit_id [String]
        # @raise [Wattomneum::Error] if what is shipped would now cross another limit
        def clear(limit_id)
          table = in_force
          limit = table.row(limit_id)
          Wattomneum::Limits::FleetSetting.new(table).check(limit_id, limit.shipped_value) if limit.shipped_value
          judge_again(limit) if where(limit_id: limit_id).delete.positive?
        end

        private

        def judge_again(limit)
          volt = limit.system_volt == 'any' ? nil : limit.system_volt
          Rejudging.order(why: "#{limit.name} was changed", system_volt: volt)
        end
      end
    end
  end
end
