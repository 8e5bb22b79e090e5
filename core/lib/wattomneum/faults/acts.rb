# frozen_string_literal: true

module Wattomneum
  module Faults
    # The order of work behind a complaint about starting or charging, from core/data/acts.yml.
    module Acts
      ROWS = DataFile.load('acts').to_h { |row| [row.values_at('complaint', 'stage', 'where').freeze, row.fetch('tests')] }.freeze
      private_constant :ROWS

      # @param complaint [String] key of OrdersOfWork
      # @param stage [String] first, at_the_key, in_order or gone
      # @param where [String, nil] how it fails, what the engine does, or what the readings say so far
      # @return [Array<String>] keys of the tests, in order; none where the row is not there
      def self.of(complaint, stage, where: nil) = ROWS[[complaint, stage, where]] || ROWS.fetch([complaint, stage, nil], NONE)

      NONE = [].freeze
      private_constant :NONE
    end
  end
end
