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
          unit_kinds: Contracts::NewUnit::KINDS, lamps: Contracts::NewJob::LAMPS }
      end

      def self.pairs(hash) = hash.map { |key, label| { key: key, label: label } }
      private_class_method :pairs
    end
  end
end
