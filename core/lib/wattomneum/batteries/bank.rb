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
