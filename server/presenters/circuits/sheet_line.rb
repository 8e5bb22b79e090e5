# frozen_string_literal: true

module Server
  module Presenters
    # Circuit sheets and what is computed from them.
    module Circuits
      # A sheet in a list.
      module SheetLine
        # @param version [Models::SheetVersion]
        # @param fitted [Models::UnitSheet, nil]
        def self.call(version, fitted: nil)
          { id: fitted&.id || version.id, version_id: version.id, key: version.sheet.key, title: version.title, n: version.n,
            system_volt: version.system_volt, frozen: !version.frozen_at.nil?, overridden: fitted ? fitted.overrides.to_h.size : 0 }
        end

        # All sheets of a unit as one: the unit's id stands for it.
        #
        # @param unit [Models::Unit]
        # @param sheet [Wattomneum::Circuits::Sheet]
        # @param fitted [Array<Models::UnitSheet>]
        def self.whole(unit, sheet, fitted)
          { id: unit.id, version_id: unit.id, key: sheet.key, title: sheet.title, n: 1, system_volt: sheet.system_volt, frozen: false,
            overridden: fitted.sum { |one| one.overrides.to_h.size } }
        end
      end
    end
  end
end
