# frozen_string_literal: true

module Wattomneum
  module Preheat
    # What the draw of all plugs together says of each.
    class Draw
      WIRINGS = DataFile.load('preheat')['wirings'].to_h { |row| [row['key'], row] }.freeze
      # A plug takes 8 to 25 A cold, and less as it warms (handbook, from memory).
      USUAL_AMPERE = (8.0..25.0)
      # Plugs of one set, read after the same seconds, differ by less than this share of one (ours).
      SCATTER_RATIO = 0.35

      # @param plugs [Integer]
      # @param wiring [String] of WIRINGS
      # @param plug_ampere [Float] that one sound plug takes, read at the same second
      # @raise [UnknownKeyError, InvalidQuantityError]
      def initialize(plugs:, wiring:, plug_ampere:)
        raise UnknownKeyError, "plugs are not wired #{wiring}" unless WIRINGS.key?(wiring)
        unless plugs.between?(1, MOST_PLUGS) && plug_ampere.positive?
          raise InvalidQuantityError.new("1 to #{MOST_PLUGS} plugs of over 0 A each", field: 'plugs')
        end

        @plugs = plugs
        @wiring = wiring
        @plug_ampere = plug_ampere
      end

      MOST_PLUGS = 16
      private_constant :MOST_PLUGS

      # @return [Float] ampere of all that are sound
      def whole_ampere = @wiring == 'series' ? @plug_ampere : @plug_ampere * @plugs

      # @param ampere [Float] read
      # @return [Integer, nil] plugs that are open; nil where the reading fits no number of them
      def open(ampere)
        return (ampere < whole_ampere * SCATTER_RATIO ? @plugs : 0) if @wiring == 'series'

        working = (ampere / @plug_ampere).round
        return if working > @plugs || (ampere - (working * @plug_ampere)).abs > @plug_ampere * SCATTER_RATIO

        @plugs - working
      end
    end
  end
end
