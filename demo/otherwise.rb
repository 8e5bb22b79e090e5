# frozen_string_literal: true

module Demo
  # What single units have otherwise than their sheets, with who saw it.
  class Otherwise
    MODELS = Server::Models

    # @param rows [Array<Hash>] unit, sheet, item, field, says and why
    # @param by [MODELS::Account]
    def initialize(rows, by:)
      @rows = rows
      @by = by
    end

    # @return [void]
    def write
      @rows.each do |row|
        unit = MODELS::Unit.first(number: row['unit'])
        fitted = MODELS::UnitSheet.current.where(unit_id: unit.id).eager(version: :sheet).all.find { |one| one.version.sheet.key == row['sheet'] }
        sheet = fitted.version.to_core
        item = (sheet.wire(row['item']) || sheet.part(row['item'])).uuid
        was = Wattomneum::Circuits::OwnFacts.new(sheet, fitted.overrides.to_h).fact(item, row['field']).says
        fitted.differ({ item: item, was: was, **row.slice('field', 'says', 'why').transform_keys(&:to_sym) }, by: @by)
      end
    end
  end
end
