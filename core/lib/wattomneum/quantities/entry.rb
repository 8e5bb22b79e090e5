# frozen_string_literal: true

module Wattomneum
  module Quantities
    # A number as somebody typed it from a meter: text and unit kept as entered, the value in the base unit beside it.
    # "OL" (over the range) is a reading of its own, never an infinite number.
    class Entry
      NUMBER = /\A[+-]?\d+(?:[.,]\d+)?(?:[eE][+-]?\d+)?\z/
      OVERLOAD = /\Ao\.?l\.?\z/i
      private_constant :NUMBER, :OVERLOAD

      # @return [String] text and unit as entered
      attr_reader :text, :unit
      # @return [Float, nil] value in the base unit of the quantity; nil for OL
      attr_reader :value

      # @param text [String] "12,6", "12.6", "-0.3", "OL"
      # @param unit [String, nil] symbol, plain or as people write it; nil means the base unit. One that stands behind the number wins
      # @param quantity [String] a key of Unit::FACTORS
      # @raise [InvalidQuantityError] if the text is no number, not finite, or OL on a quantity other than resistance
      # @raise [InvalidQuantityError] if the unit does not belong to the quantity
      def initialize(text:, quantity:, unit: nil)
        @quantity = quantity
        @text = text.to_s.strip
        number, own_unit = Typed.split(@text)
        @number = own_unit ? number : Typed.plain(@text)
        @unit = own_unit || (unit && Typed.plain(unit)) || Unit.base(quantity)
        check_unit
        @overload = @text.match?(OVERLOAD)
        @value = @overload ? overload_value : parse
        freeze
      end

      # @param text [String] "12,6", "12.6", "-0.3"
      # @return [Float, nil] nil where it is no finite number
      def self.number(text)
        plain = Typed.plain(text)
        return unless plain.match?(NUMBER)

        number = Float(plain.tr(',', '.'))
        number if number.finite?
      end

      # @return [Boolean] true when the meter showed that the value lies over its range
      def overload? = @overload

      # What was rounded away when it was typed: "12.6" may be anything from 12.55 to 12.65. A lone 0 is what people say for 0.0.
      #
      # @return [Float] half of the last digit, in the base unit; 0.0 for OL
      # @example "0.0", V   # => 0.05
      def half_digit
        return 0.0 if @overload

        mantissa, exponent = @number.downcase.tr(',', '.').split('e')
        decimals = mantissa.split('.')[1].to_s.size
        decimals = 1 if decimals.zero? && mantissa.to_f.zero?
        half = 0.5 * (10.0**(exponent.to_i - decimals))
        (Unit.to_base(half, @unit, @quantity) - Unit.to_base(0.0, @unit, @quantity)).abs
      end

      private

      def check_unit
        symbols = Unit.symbols(@quantity)
        return if symbols.include?(@unit)

        raise InvalidQuantityError.new("#{@unit} is no unit for this reading; use #{symbols.join(', ')}", field: 'unit')
      end

      def overload_value
        return if @quantity == 'resistance'

        raise InvalidQuantityError.new('OL on this setting means the meter was on too small a range. ' \
                                       'Turn it up and read again', field: 'value_text')
      end

      def parse
        unless @number.match?(NUMBER)
          raise InvalidQuantityError.new("\"#{@text[0, 30]}\" is not a number. Type digits, as in 12.6 or 12,6",
                                         field: 'value_text')
        end
        number = Float(@number.tr(',', '.'))
        raise InvalidQuantityError.new("#{@text[0, 30]} is larger than any meter reads", field: 'value_text') if
          number.infinite?

        Unit.to_base(at_its_point(number), @unit, @quantity)
      end

      # A hydrometer's 1265 is 1.265.
      def at_its_point(number) = @quantity == 'specific_gravity' && THOUSANDFOLD_GRAVITY.cover?(number) ? number / 1000.0 : number

      THOUSANDFOLD_GRAVITY = (1000..1400)
      private_constant :THOUSANDFOLD_GRAVITY
    end
  end
end
