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
      end
    end
  end
end
