# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What lead-acid limits do not hold for: nothing is judged by them there, and the reading says so.
    module OtherKinds
      # Tests that are judged by volts or amperes of a lead-acid bank; drops, signals and looks are the same for all.
      BANK_TESTS = %w[posts_rest posts_cranking charging_idle charging_fast_idle charging_loaded].freeze
      INSTEAD = {
        'lithium' => 'Go by its own management unit and its maker. Lithium is not charged below 0 degC',
        'capacitor' => 'Go by the maker of the module: its volts say its charge, and rest at no table'
      }.freeze
      private_constant :INSTEAD

      # @param reading [Readings::Reading]
      # @param system [Units::ElectricalSystem]
      # @return [Judgement, nil] nil where lead-acid limits may judge it
      def self.judgement(reading, system)
        battery = concerned(reading, system).find { |one| !one.lead_acid? }
        return if battery.nil? || reading.conditions.number('setpoint_volt')

        said = { tag: battery.tag, kind: Batteries::Battery::TYPES.fetch(battery.type) }
        Judgement.new(reading_id: reading.id, verdict: 'unproven', validity: 'void', weight: 'none', code: 'battery.other_kind',
                      summary: Findings.sentence('battery.other_kind', **said),
                      instead: INSTEAD.fetch(battery.type))
      end

      # The battery it was taken on, or those of the bank it was taken across.
      def self.concerned(reading, system)
        return [reading.battery].compact if reading.test.per_battery?

        BANK_TESTS.include?(reading.test_key) ? system.batteries.values : []
      end
      private_class_method :concerned
    end
  end
end
