# frozen_string_literal: true

module Server
  module Presenters
    # A battery as an individual.
    module Battery
      def self.call(battery)
        { id: battery.id, tag: battery.tag, type: battery.type, type_label: Wattomneum::Batteries::Battery::TYPES.fetch(battery.type),
          rating_ampere: battery.rating_ampere, rating_standard: battery.rating_standard,
          capacity_ampere_hour: battery.capacity_ampere_hour, date_code: battery.date_code,
          made: battery.made_on&.strftime('%B %Y'), lock_version: battery.lock_version }
      end
    end
  end
end
