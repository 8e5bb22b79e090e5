# frozen_string_literal: true

module Wattomneum
  # How much a circuit sheet may ask for, from core/data/budgets.yml.
  module Budgets
    Budget = Struct.new(:id, :value, :unit, :words, keyword_init: true)
    ALL = DataFile.load('budgets').map { |row| Budget.new(**row.transform_keys(&:to_sym)).freeze }.freeze
    BY_ID = ALL.to_h { |budget| [budget.id.to_sym, budget] }.freeze

    # @param id [Symbol]
    # @return [Integer] in the unit of the row
    def self.[](id) = BY_ID.fetch(id).value

    # @param id [Symbol]
    # @param asked [Integer]
    # @raise [OverBudgetError] if it is more than allowed, with both figures
    def self.check(id, asked)
      budget = BY_ID.fetch(id)
      return if asked <= budget.value

      raise OverBudgetError,
            "#{asked} #{budget.unit}, and at most #{budget.value} are worked out (#{budget.words}). Split the sheet, and link the parts"
    end
  end
end
