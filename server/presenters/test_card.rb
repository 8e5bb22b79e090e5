# frozen_string_literal: true

module Server
  module Presenters
    # A test as the pad needs it: where, how, which units, which conditions, cautions, what answers mean.
    module TestCard
      DEFINITIONS = Wattomneum::Evidence::Conditions::DEFINITIONS

      # @param test [Wattomneum::Readings::TestDefinition]
      # @param system [Wattomneum::Units::ElectricalSystem]
      # @param limits [Wattomneum::Limits::Table]
      # @param again [Boolean] whether it was read in this job before
      def self.call(test, system, limits, again: false)
        { key: test.key, label: test.label, short: test.short, quantity: test.quantity, per_battery: test.per_battery?,
          positions: test.per_battery? ? system.positions : [], units: test.shown_units, cells: test.cells(system),
          choices: test.choices.map { |choice| { key: choice['key'], label: choice['label'] } },
          state: test.state, states: test.states, state_label: Wattomneum::Readings::Catalogue::STATES.fetch(test.state),
          instrument: test.instrument, minutes: test.minutes, how: test.how(system, limits: limits), loop: test.loop,
          from: label_of(test.from), to: label_of(test.to), answers: answers(test, system, limits),
          cautions: Wattomneum::Safety::Cautions.on(Wattomneum::Safety::Cautions.fetch_all(test.cautions), system).map(&:to_h),
          conditions: conditions(test, system, again) }
      end

      def self.label_of(place) = place && Wattomneum::Circuits::Roles.fetch(place).label

      # Where no lead-acid limit holds the card says what is gone by, and shows none.
      def self.answers(test, system, limits)
        instead = Wattomneum::Evidence::OtherKinds.instead(test, system) or return test.answers(system, limits: limits)
        [{ when: 'Any', means: "No lead-acid limit holds here. #{instead}" }]
      end

      def self.conditions(test, system, again)
        required = test.required_conditions(system)
        keys = [*test.asked_conditions(system), *('meter_proved' if test.zero_convicts?)]
        keys = keys.reject { |key| DEFINITIONS[key]['again'] } unless again
        keys.map { |key| condition(key, required: required.include?(key)) }
      end

      # @param key [String] of a condition
      # @param required [Boolean]
      def self.condition(key, required:)
        { key: key, label: DEFINITIONS[key]['label'], help: DEFINITIONS[key]['help'], kind: DEFINITIONS[key]['kind'],
          words: DEFINITIONS[key].fetch('words', []), unit: DEFINITIONS[key]['unit'], required: required }
      end
      private_class_method :label_of, :conditions, :answers
    end
  end
end
