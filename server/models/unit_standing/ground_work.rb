# frozen_string_literal: true

module Server
  module Models
    class UnitStanding
      # The worst ground as it was left, and when the next round of them is due.
      module GroundWork
        NONE = { ground_milliohm: nil, ground_at: nil, ground_due_on: nil }.freeze
        private_constant :NONE

        # @param unit [Unit]
        # @param limits [Wattomneum::Limits::Table]
        # @return [Hash] columns
        def self.of(unit, limits)
          last = GroundService.last_of(unit.id).values
          return NONE if last.empty?

          months = Wattomneum::Readings::Due.months('grounds', limits, exposure: unit.exposure)
          served = last.map(&:served_at).max
          { ground_milliohm: last.map { |one| milliohm(one) }.max, ground_at: served,
            ground_due_on: Wattomneum::Readings::Due.on(served.to_date, months) }
        end

        def self.milliohm(service)
          figures = service.after_volt ? [service.after_volt, service.after_ampere] : [service.before_volt, service.before_ampere]
          Wattomneum::Grounds::Check.milliohm(*figures)
        end
        private_class_method :milliohm
      end
    end
  end
end
