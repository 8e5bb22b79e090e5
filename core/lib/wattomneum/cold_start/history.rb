# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # All that happened to one unit's start, in order: a crank test, the mornings, what was mended, changed or fitted. Each moves or widens what is
    # known of its threshold at its own time: a morning before a mend says little of the unit after it, and is not thrown away.
    class History
      # What a crank test, or its labels, let expect. celsius: degC; variance: degC squared; day: number of the day it was read
      Read = Struct.new(:celsius, :variance, :day, keyword_init: true)
      # outcome: one of the morning's; low_celsius: at dawn, measured where it was; nights_parked: since it last ran
      Dawn = Struct.new(:outcome, :low_celsius, :day_before_celsius, :nights_parked, :day, keyword_init: true) do
        def initialize(nights_parked: 1, **) = super
      end
      # What was done to it: kind is one of CHANGES; share: of the bank, for batteries
      Change = Struct.new(:kind, :day, :share, keyword_init: true) do
        def initialize(share: 1.0, **) = super
        # @return [Float] degC that the threshold moves
        def celsius = share * CHANGES.fetch(kind).fetch('celsius')

        # @return [Float] how likely it makes another unit of it
        def another = share * CHANGES.fetch(kind).fetch('another')

        # @return [Float] degC squared of how far that may be off
        def variance = share * (CHANGES.fetch(kind).fetch('spread')**2)
      end
      # All of its mornings up to some day, so that one more is told without all those before it. logs: of Evidence
      State = Struct.new(:logs, :mornings, :day, keyword_init: true)
      # What can be done to it, each with how it moves the threshold.
      CHANGES = Table::DATA.fetch('changes')
      DRIFT_VARIANCE = (Table.figure('threshold', 'drift_celsius_per_year')**2) / 365.0
      # So long without a morning, a summer, is a time of its own.
      LONG_DAYS = 60
      private_constant :DRIFT_VARIANCE, :LONG_DAYS

      # @return [Integer] mornings that told something
      attr_reader :count
      # @return [Read, nil] as what was done since moved it
      attr_reader :read
      # @return [Evidence] of its mornings
      attr_reader :evidence

      # @param curve [#degrees_per_charge, #degrees_per_battery_degree, #slow_celsius] of the unit
      # @param bank [Hash] capacity_ampere_hour; awake_ampere where it was measured
      def initialize(curve, **bank)
        @curve = Evening::Stored.new(celsius: 0.0, variance: 0.0, degrees_per_charge: curve.degrees_per_charge,
                                     degrees_per_battery_degree: curve.degrees_per_battery_degree, slow_celsius: curve.slow_celsius)
        @bank = bank
        @count = 0
        @evidence = Evidence.new
      end

      # @param state [State] that it goes on from
      # @param read [Read, nil] that it knows already
      # @return [self]
      def from(state, read)
        @evidence = Evidence.new(state.logs)
        @count = state.mornings
        @day = state.day
        @read = read
        self
      end

      # @return [State]
      def state = State.new(logs: @evidence.logs, mornings: @count, day: @day)

      # @param events [Enumerable<Read, Dawn, Change>] in order
      # @return [self]
      def hear(events)
        events.each do |event|
          drift_to(event.day)
          case event
          when Read then @read = event
          when Change then move(event.celsius, event.variance, another: event.another)
          else morning(event)
          end
        end
        self
      end

      # @param fleet [FleetPrior::Learnt]
      # @param unit_class [String, nil]
      # @return [Evening::Stored] what is known of it by now
      def stored(fleet, unit_class = nil)
        mean, variance = @evidence.on(*fleet.expect(@read, unit_class))
        Evening::Stored.new(**@curve.to_h, celsius: mean + fleet.lately.celsius, variance: variance, spread_ratio: fleet.lately.spread_ratio)
      end

      private

      # Over a summer batteries age and joints corrode, unseen.
      def drift_to(day)
        days = day && @day ? day - @day : 0
        @evidence = @evidence.moved(0.0, DRIFT_VARIANCE * days) if days > LONG_DAYS
        @day = [day, @day].compact.max
      end

      def move(celsius, variance, another: 0.0)
        @evidence = @evidence.moved(celsius, variance, another: another)
        @read &&= Read.new(celsius: @read.celsius + celsius, variance: @read.variance + variance, day: @read.day)
      end

      def morning(dawn)
        return unless Morning::TELLING.key?(dawn.outcome)

        tonight = Evening.of(@curve, **@bank, **dawn.to_h.slice(:low_celsius, :day_before_celsius, :nights_parked))
        @evidence = @evidence.with(tonight.morning(dawn.low_celsius), dawn.outcome)
        @count += 1
      end
    end
  end
end
