# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Batteries wired together: what stands at the posts under a load, and what each of them gives.
    module Bank
      # One battery as a source: open-circuit volts behind a resistance.
      Source = Struct.new(:rest_volt, :resistance_ohm, keyword_init: true)
      Result = Struct.new(:volt, :currents_ampere, keyword_init: true)

      # Formula: V = (sum(V_i / R_i) - I) / sum(1 / R_i), I_i = (V_i - V) / R_i.
      # Source: Millman's theorem; checked against ngspice in the specs.
      #
      # @param sources [Array<Source>] resistances greater than 0 ohm
      # @param load_ampere [Float] taken from the bank, 0 or more
      # @return [Result] volts at the posts and amperes out of each battery (negative: it is being charged)
      def self.parallel(sources, load_ampere:)
        conductance = sources.sum { |source| 1.0 / source.resistance_ohm }
        volt = (sources.sum { |source| source.rest_volt / source.resistance_ohm } - load_ampere) / conductance
        Result.new(volt: volt, currents_ampere: sources.map do |source|
          (source.rest_volt - volt) / source.resistance_ohm
        end)
      end

      # Formula: resistances and volts add; every battery gives the whole current, the weaker one decides.
      #
      # @param sources [Array<Source>]
      # @param load_ampere [Float]
      # @return [Result]
      def self.series(sources, load_ampere:)
        volt = sources.sum { |source| source.rest_volt - (load_ampere * source.resistance_ohm) }
        Result.new(volt: volt, currents_ampere: sources.map { load_ampere })
      end

      # The least resistance that this bank can plausibly have: with it, a sag bounds the current. A large bank with a small sag can
      # still carry a kiloampere.
      #
      # Formula: per battery 0.6 (OCV - 7.2 V) / CCA(SAE) / c(T), full charge; without a rating 2 mohm; parallel divides, series adds. Of a bank
      # that is not lead and acid nothing is known by a rating: so little that a sag of it clears nobody.
      # Source: SAE J537 end point and c(T) as InternalResistance; the share is ours, from cases.
      #
      # @param system [Units::ElectricalSystem]
      # @param temperature_celsius [Float, nil] of the batteries; nil is taken as the warmest of the table, where they have least
      # @param limits [Limits::Table]
      # @return [Float] ohm
      # @example two of 800 A SAE in parallel, 27 degC   # => 0.00132
      def self.least_ohm(system, temperature_celsius: nil, limits: Limits::Table.shipped)
        share = limits.fetch('battery.resistance_least_share').value / 100.0
        return system.blocks_in_series * limits.fetch('battery.resistance_other_kind').value / 1000.0 unless system.lead_acid?

        unrated = limits.fetch('battery.resistance_unrated').value / 1000.0
        ohms = system.positions.map do |position|
          battery = system.batteries[position] or next unrated * system.blocks_per_battery
          share * InternalResistance.from_rating(measured_sae_ampere: battery.rating.sae_ampere, rest_volt: FULL_VOLT,
                                                 blocks: system.blocks_per_battery, temperature_celsius: temperature_celsius || WARMEST_CELSIUS)
        end
        system.parallel? ? 1.0 / ohms.sum { |ohm| 1.0 / ohm } : ohms.sum
      end
      # Rest volts of a full battery, and where its resistance is least.
      FULL_VOLT = 12.65
      WARMEST_CELSIUS = 27.0
      private_constant :FULL_VOLT, :WARMEST_CELSIUS

      # @param sources [Array<Source>]
      # @param arrangement [String] single, parallel or series
      # @return [Source] the one source that stands for the whole bank
      def self.equivalent(sources, arrangement:)
        if arrangement == 'series'
          Source.new(rest_volt: sources.sum(&:rest_volt), resistance_ohm: sources.sum(&:resistance_ohm))
        else
          Source.new(rest_volt: parallel(sources, load_ampere: 0.0).volt,
                     resistance_ohm: 1.0 / sources.sum { |source| 1.0 / source.resistance_ohm })
        end
      end
    end
  end
end
