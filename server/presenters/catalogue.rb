# frozen_string_literal: true

module Server
  module Presenters
    # Lists that screens choose from, as core holds them.
    module Catalogue
      CORE = Wattomneum

      def self.call
        { states: pairs(CORE::Readings::Catalogue::STATES), instruments: CORE::Readings::Catalogue::INSTRUMENTS,
          battery_types: pairs(CORE::Batteries::Battery::TYPES), rating_standards: CORE::Batteries::Rating::STANDARDS.keys,
          causes: CORE::Jobs::Causes::ALL.map { |key| { key: key, label: key.tr('_', ' ').capitalize } },
          actions: Contracts::NewRepair::ACTIONS.map { |key| { key: key, label: key.capitalize } },
          orders_of_work: CORE::Faults::OrdersOfWork::ALL.map { |row| order_of_work(row) },
          ways: CORE::Readings::Methods::ALL.map { |row| way(row) }, unit_kinds: Contracts::NewUnit::KINDS, lamps: Contracts::NewJob::LAMPS }
      end

      # How it fails goes by buttons.
      def self.order_of_work(row)
        { key: row.key, label: row.words, along_paths: row.along_paths?, ways: row.ways.map { |way| { key: way.key, label: way.choice } } }
      end

      def self.way(row)
        { key: row.key, label: row.label, quantity: row.quantity, units: CORE::Quantities::Unit.symbols(row.quantity), instrument: row.instrument,
          choices: row.choices.map { |choice| { key: choice['key'], label: choice['label'] } } }
      end

      def self.pairs(hash) = hash.map { |key, label| { key: key, label: label } }
      private_class_method :pairs, :way, :order_of_work
    end
  end
end
