# frozen_string_literal: true

module Server
  module Queries
    # The batteries that stand in units, each by its label and what is known of it by now.
    module LabelledBank
      CORE = Wattomneum
      # battery: of the core, with its label; health_ratio against that label, rest_volt of its own: nil where nobody read it
      Fitted = Struct.new(:position, :battery, :health_ratio, :rest_volt, keyword_init: true)

      class << self
        # SQL: select unit_id, position, battery.*, health_percent, rest_volt from fitting join battery left join battery_state
        #      where upper_inf(during) and unit_id in ?
        #
        # @param unit_ids [Array<String>]
        # @return [Hash{String => Array<Fitted>}] by unit
        def in_units(unit_ids)
          rows = Models::Fitting.current.where(unit_id: unit_ids).join(:battery, id: :battery_id)
                                .left_join(:battery_state, battery_id: Sequel[:battery][:id])
          found = rows.select(:unit_id, :position, :tag, :type, :capacity_ampere_hour, :made_on, :rating_ampere, :rating_standard, :health_percent,
                              Sequel[:battery_state][:rest_volt]).naked.all
          found.group_by { |row| row[:unit_id] }.transform_values { |same| same.map { |row| fitted(row) } }
        end

        # @param fitted [Array<Fitted>]
        # @param system [CORE::Units::ElectricalSystem]
        # @return [Array<CORE::ColdStart::BankParts::Part>] of every position
        def parts(fitted, system)
          system.positions.map do |position|
            one = fitted.find { |each| each.position == position }
            CORE::ColdStart::BankParts::Part.new(position: position, sae_ampere: one&.battery&.then { |battery| battery.rating.sae_ampere },
                                                 health_ratio: one&.health_ratio, rest_volt: one&.rest_volt)
          end
        end

        private

        # A figure of nothing tells nothing.
        def fitted(row)
          health, rest = row.values_at(:health_percent, :rest_volt).map { |figure| figure if figure&.positive? }
          Fitted.new(position: row[:position], battery: Models::Battery.core(row), health_ratio: health && (health / 100.0), rest_volt: rest)
        end
      end
    end
  end
end
