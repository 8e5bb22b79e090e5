# frozen_string_literal: true

module Server
  module Queries
    # Units in service that have circuit sheets, with those fitted now.
    module UnitsWithSheets
      # SQL: select unit_sheet.* with unit, version and sheet, where upper_inf(during) and the unit is in service
      #
      # @return [Hash{Models::Unit => Array<Models::UnitSheet>}] by unit number
      def self.call
        in_service = Models::Unit.standing(false).select(:id)
        Models::UnitSheet.current.where(unit_id: in_service).eager(:unit, version: :sheet).all.group_by(&:unit).sort_by { |unit, _| unit.number }.to_h
      end
    end
  end
end
