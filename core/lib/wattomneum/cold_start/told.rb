# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # A unit's threshold as its mornings move it, one after another from what readings alone let expect.
    class Told
      # outcome: one of the morning's; low_celsius: at dawn, measured where it was; nights_parked: since it last ran
      Dawn = Struct.new(:outcome, :low_celsius, :day_before_celsius, :nights_parked, keyword_init: true) do
        def initialize(nights_parked: 1, **) = super
      end

      # @return [Evening::Stored]
      attr_reader :stored
      # @return [Integer] mornings that told something
      attr_reader :count
      # @return [Float, nil] air at dawn, as for a unit that ran the day before
      attr_reader :coldest_start, :warmest_failure

      # @param prior [Evening::Stored] by readings alone
      # @param bank [Hash] capacity_ampere_hour; awake_ampere where it was measured
      def initialize(prior, **bank)
        @stored = prior
        @bank = bank
        @count = 0
      end

      # @param dawns [Array<Dawn>] in order
      # @return [self]
      def hear(dawns)
        dawns.each { |dawn| one(dawn) }
        self
      end

      private

      def one(dawn)
        told = Morning::TELLING[dawn.outcome] or return
        tonight = Evening.of(@stored, **@bank, **dawn.to_h.except(:outcome))
        morning = tonight.morning(dawn.low_celsius)
        note(told, dawn.low_celsius - (tonight.celsius - @stored.celsius)) if morning.likely?(dawn.outcome)
        @count += 1
        @stored = morning.after(dawn.outcome)
      end

      def note(told, air)
        return @warmest_failure = [@warmest_failure, air].compact.max if told == 'failed'

        @coldest_start = [@coldest_start, air].compact.min
      end
    end
  end
end
