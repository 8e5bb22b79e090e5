# frozen_string_literal: true

module Wattomneum
  module Systems
    # A circuit as electricians think it: out along the feed, through the load, back along the ground.
    class Loop
      LAYOUTS = {
        'start' => { label: 'Start loop', load: 'Starter', feed: %w[positive_post isolator_in isolator_out starter_stud],
                     return: %w[starter_case engine_block frame negative_post],
                     signals: %w[solenoid_signal starter_terminal cranking_current],
                     wholes: %w[positive_drop ground_drop posts_rest posts_cranking] },
        'charge' => { label: 'Charge loop', load: 'Alternator', feed: %w[positive_post alternator_output],
                      return: %w[alternator_case negative_post],
                      signals: %w[sense_feed excitation_feed output_terminal_stopped charge_lamp_key_on],
                      wholes: %w[charging_fast_idle charging_loaded ripple] }
      }.freeze

      attr_reader :key, :label, :load

      # @param system [ElectricalSystem]
      # @param places [Hash{String => Hash}] loop key to the places that the unit's circuit sheets have on it, :feed and :return;
      #   loops without a sheet take the usual ones
      # @return [Array<Loop>] start and charge loop of this unit
      def self.for(system, places: {})
        LAYOUTS.map { |key, layout| new(key, layout.merge(places.fetch(key, {})), system) }
      end

      def initialize(key, layout, system)
        @key = key
        @label = layout[:label]
        @load = layout[:load]
        @layout = layout
        @system = system
        @tests = Readings::Catalogue.for(system)
        @elements = system.elements
        @places = system.places
      end

      # @return [Array<Place>] from the battery to the load
      def feed = places(:feed)

      # @return [Array<Place>] from the load back to the battery
      def return = places(:return)

      # @return [Array<Readings::TestDefinition>] tests at single points of the loop
      def signals = tests(:signals)

      # @return [Array<Readings::TestDefinition>] tests over a whole side or the posts
      def wholes = tests(:wholes)

      # @return [Element, nil] the part between two neighbouring places
      def element_between(from, to)
        @elements.find { |element| element.places.sort == [from, to].sort && element.key != 'battery' }
      end

      # @return [Readings::TestDefinition, nil] the test that measures the stretch between two neighbouring places
      def test_between(from, to)
        @tests.find { |test| test.element && test.state != 'off' && [test.from, test.to].sort_by(&:to_s) == [from, to].sort }
      end

      private

      # Only where this loop is measured: a place between two that no test stops at is passed over.
      def places(side)
        @layout[side].filter_map { |key| @places.find { |place| place.key == key } }.select { |place| measured_at.include?(place.key) }
      end

      def measured_at = @measured_at ||= @tests.select { |test| test.loop == key }.flat_map { |test| [test.from, test.to] }.uniq

      def tests(group)
        @layout[group].map { |test| Readings::Catalogue.fetch(test) }.select { |test| @tests.include?(test) }
      end
    end
  end
end
