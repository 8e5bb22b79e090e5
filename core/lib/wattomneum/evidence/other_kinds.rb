# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What lead-acid limits and the alternator's do not hold for: nothing is judged by them there, and the reading says so.
    module OtherKinds
      # Tests that are judged by volts of a lead-acid bank; drops, signals and looks are the same for all, charging goes by its setpoint.
      BANK_TESTS = %w[posts_rest posts_cranking].freeze
      # No reading of the test would be judged otherwise: it is not asked for again.
      CODES = %w[battery.other_kind battery.pack].freeze
      INSTEAD = {
        'lithium' => 'Go by its own management unit and its maker. Lithium is not charged below 0 degC',
        'capacitor' => 'Go by the maker of the module: its volts say its charge, and rest at no table'
      }.freeze
      PACK = 'Go by its own management unit and its maker'
      SETPOINT = 'What it is set to decides: from its plate, its maker or the scan tool'
      private_constant :INSTEAD, :PACK, :SETPOINT

      # @param reading [Readings::Reading]
      # @param system [Units::ElectricalSystem]
      # @return [Judgement, nil] nil where lead-acid limits may judge it
      def self.judgement(reading, system)
        battery = concerned(reading, system).find { |one| !one.lead_acid? || system.pack? } or return
        void(reading, system, battery)
      end

      # @param test [Readings::TestDefinition]
      # @param system [Units::ElectricalSystem]
      # @return [String, nil] what is gone by where no lead-acid limit holds for this test
      def self.instead(test, system)
        return SETPOINT if Charging::SetpointJudge.for?(test, system)
        return if system.lead_acid? || !(test.per_battery? || BANK_TESTS.include?(test.key))

        type = system.batteries.each_value.map(&:type).find { |one| INSTEAD.key?(one) }
        INSTEAD.fetch(type, PACK)
      end

      # The type says more than the volts.
      def self.void(reading, system, battery)
        code = INSTEAD.key?(battery.type) ? 'battery.other_kind' : 'battery.pack'
        said = { tag: battery.tag, kind: Batteries::Battery::TYPES.fetch(battery.type), volt: "#{system.system_volt} V" }
        Judgement.new(reading_id: reading.id, verdict: 'unproven', validity: 'void', weight: 'none', code: code,
                      summary: Findings.sentence(code, **said), instead: INSTEAD.fetch(battery.type, PACK))
      end

      # The battery it was taken on, or those of the bank it was taken across.
      def self.concerned(reading, system)
        return [reading.battery].compact if reading.test.per_battery?

        BANK_TESTS.include?(reading.test_key) ? system.batteries.values : []
      end
      private_class_method :concerned, :void
    end
  end
end
