# frozen_string_literal: true

module Wattomneum
  module Wiring
    # The smallest cable that meets the drop limit over the way out and back, and the heat limit. Starter cables are sized by drop
    # at cranking current and only checked by heat.
    class CableSizing
      # section_mm2: nil where no size fits; by_drop_mm2, by_heat_mm2: what each limit alone would take; drop_volt at the section
      # chosen; next_mm2 and next_drop_volt: the size above and what it buys
      Result = Struct.new(:section_mm2, :by_drop_mm2, :by_heat_mm2, :drop_volt, :next_mm2, :next_drop_volt, :working, keyword_init: true)

      # @param ampere [Float] greater than 0
      # @param one_way_m [Float] greater than 0
      # @param most_drop_volt [Float] over both ways, greater than 0
      # @param ambient_celsius [Float]
      # @param most_celsius [Float] of the insulation
      # @param bundled [Integer]
      # @param seconds [Float, nil] how long it flows; under a minute heat is not asked for
      # @raise [InvalidQuantityError] if current, length or drop is not over 0
      def initialize(ampere:, one_way_m:, most_drop_volt:, ambient_celsius: 30.0, most_celsius: 70.0, bundled: 1, seconds: nil)
        { 'ampere' => ampere, 'one_way_m' => one_way_m, 'most_drop_volt' => most_drop_volt }.each do |field, value|
          raise InvalidQuantityError.new("#{field} must be over 0, got #{value}", field: field) unless value.positive?
        end
        @ampere = ampere
        @one_way_m = one_way_m
        @most_drop_volt = most_drop_volt
        @heat = { ambient_celsius: ambient_celsius, most_celsius: most_celsius, bundled: bundled }
        @seconds = seconds
      end

      # Formula: drop = I x 2 x length x ohm per m; heat: see Ampacity. Source: Ohm's law, ISO 6722-1 sizes (from memory).
      #
      # @return [Result]
      # @example 10 A, 5 m one way, 0.36 V   # => 6 mm2
      def call
        by_drop = sizes.find { |size| drop_volt(size) <= @most_drop_volt }
        by_heat = short? ? sizes.first : sizes.find { |size| heat_ampere(size) >= @ampere }
        chosen = by_drop && by_heat && [by_drop, by_heat].max
        following = chosen && sizes.find { |size| size > chosen }
        Result.new(section_mm2: chosen, by_drop_mm2: by_drop, by_heat_mm2: by_heat, drop_volt: chosen && drop_volt(chosen),
                   next_mm2: following, next_drop_volt: following && drop_volt(following), working: working(chosen))
      end

      private

      def sizes = Ampacity.sizes_mm2
      def short? = !@seconds.nil? && @seconds < 60
      def drop_volt(size) = @ampere * 2 * @one_way_m * Conductor.metric_ohm_per_m(section_mm2: size)
      def heat_ampere(size) = Ampacity.continuous_ampere(section_mm2: size, **@heat)

      def working(chosen)
        return ["no size up to #{Quantities::Figure.trim(sizes.last, 0)} mm2 meets both limits"] if chosen.nil?

        per_m = Conductor.metric_ohm_per_m(section_mm2: chosen) * 1000
        ["#{Quantities::Figure.ampere(@ampere)} x 2 x #{Quantities::Figure.trim(@one_way_m, 2)} m x #{Quantities::Figure.trim(per_m, 3)} mohm/m = " \
         "#{Quantities::Figure.volt(drop_volt(chosen))}, at most #{Quantities::Figure.volt(@most_drop_volt)}",
         short? ? 'flows under a minute: sized by drop' : "carries #{Quantities::Figure.ampere(heat_ampere(chosen))} for good"]
      end
    end
  end
end
