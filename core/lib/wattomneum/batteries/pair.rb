# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Batteries that work together: how far apart they may be, and which to replace when one fails.
    module Pair
      SEALED = %w[agm gel].freeze
      private_constant :SEALED

      # @param health_percents [Array<Float>] of the batteries of one parallel bank
      # @param rest_volts [Array<Float>] after charge, apart
      # @param blocks [Float] of six cells in each: a half on 6 V
      # @param limits [Limits::Table]
      # @return [Array<String>] why they do not belong together; empty when they do
      def self.mismatches(health_percents: [], rest_volts: [], blocks: 1.0, limits: Limits::Table.shipped)
        [apart(health_percents, limits.fetch('battery.pair_health_apart').value, '%'),
         apart(rest_volts, limits.fetch('battery.pair_rest_apart').value * blocks, 'V')].compact
      end

      # Types of one bank must not be mixed.
      #
      # @param types [Array<String>]
      # @return [String, nil]
      def self.mixed_types(types)
        names = types.map { |type| Battery::TYPES.fetch(type) }.uniq
        return if types.map { |type| kind(type) }.uniq.size < 2

        "#{names.join(' and ')} in one bank: they want different charging volts"
      end

      # @param type [String] key of Battery::TYPES
      # @return [String] what may work together in one bank has one
      def self.kind(type) = SEALED.include?(type) ? type : 'wet'

      # @param school [String] answer to battery_pairs: set or failed_one
      # @param partner_health_percent [Float, nil]
      # @param partner_age_months [Float, nil]
      # @param limits [Limits::Table]
      # @return [Symbol] :replace_set or :replace_failed_one
      def self.advice(school:, partner_health_percent:, partner_age_months:, limits: Limits::Table.shipped)
        return :replace_set if school == 'set' || partner_health_percent.nil? || partner_age_months.nil?

        young = partner_age_months < limits.fetch('battery.keep_partner_months').value
        strong = partner_health_percent > limits.fetch('battery.health_sound').value
        young && strong ? :replace_failed_one : :replace_set
      end

      def self.apart(values, limit, unit)
        return if values.size < 2

        spread = values.max - values.min
        return if spread <= limit

        "#{Quantities::Figure.trim(spread, 2)} #{unit} apart, limit #{limit} #{unit}"
      end
      private_class_method :apart
    end
  end
end
