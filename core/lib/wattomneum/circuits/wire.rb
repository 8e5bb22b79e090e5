# frozen_string_literal: true

module Wattomneum
  module Circuits
    # One conductor of a sheet, from pin to pin.
    class Wire
      FIELDS = %i[number uuid from to colour section_mm2 gauge_awg length_m zone twisted_with shielded ohm].freeze
      attr_reader(*FIELDS)

      # @param number [String]
      # @param uuid [String]
      # @param from [String] node, "K1:30"
      # @param to [String]
      # @param colour [String, nil] colour and tracer, "red/blue"
      # @param section_mm2 [Float, nil]
      # @param gauge_awg [String, nil] "10", "1/0"
      # @param length_m [Float, nil]
      # @param ohm [Float, nil] measured or given; wins over size and length
      def initialize(number:, uuid:, from:, to:, colour: nil, section_mm2: nil, gauge_awg: nil, length_m: nil, zone: nil,
                     twisted_with: nil, shielded: false, ohm: nil)
        FIELDS.each { |name| instance_variable_set(:"@#{name}", binding.local_variable_get(name)) }
        freeze
      end

      # @return [String] as it was drawn, where another sheet of the unit has one of that number too
      def drawn_number = number.split('@').first

      # Where neither size nor length is known: 1 m of 1.5 mm2.
      UNKNOWN_OHM = 0.0127

      # @return [Float] at 20 degC
      # @raise [OutOfTableRangeError] for a gauge nobody makes
      def resistance_ohm
        return ohm if ohm
        return UNKNOWN_OHM if length_m.nil?

        per_metre = if section_mm2 then Wiring::Conductor.metric_ohm_per_m(section_mm2: section_mm2)
                    elsif gauge_awg then Wiring::Conductor.awg_ohm_per_m(gauge: gauge_awg)
                    end
        per_metre ? per_metre * length_m : UNKNOWN_OHM
      end

      # @return [String, nil] "2.5 mm2" or "10 AWG"
      def size
        return "#{Quantities::Figure.trim(section_mm2, 2)} mm2" if section_mm2

        "#{gauge_awg} AWG" if gauge_awg
      end

      # @param changes [Hash{Symbol => Object}]
      # @return [Wire] the same with these attributes replaced
      def with(**changes) = self.class.new(**FIELDS.to_h { |name| [name, public_send(name)] }, **changes)
    end
  end
end
