# frozen_string_literal: true

module Wattomneum
  module Practice
    module Winter
      # Starter and engine: torque against friction that thickens with the oil, the compression that does not.
      class Engine
        # torque_nm and speed_rpm at 27 degC with current_ampere; magnets: of a permanent-magnet starter, whose flux does not follow its current
        Built = Struct.new(:current_ampere, :speed_rpm, :own_ohm, :magnets, :oil_slope, :drag_share, keyword_init: true)
        # Compression and plain bearings at 27 degC, against all.
        DRY_SHARE = 0.55
        SATURATES_AT = 0.7
        STEPS = 26
        private_constant :DRY_SHARE, :SATURATES_AT, :STEPS

        # @param built [Built]
        # @param volt [Float] at the starter, warm, at that current and speed
        def initialize(built, volt)
          @built = built
          @flux = (volt - (built.current_ampere * built.own_ohm)) / built.speed_rpm
          @torque = flux_ratio(built.current_ampere) * built.current_ampere
        end

        # Where torque and friction meet.
        #
        # @param oil_celsius [Float]
        # @param path_ohm [Float] cables and grounds
        # @yieldparam ampere [Float]
        # @yieldreturn [Float] volts at the posts
        # @return [Array(Float, Float)] ampere, and rpm: 0 where it stands
        def cranked(oil_celsius, path_ohm)
          low = 1.0
          high = 6.0 * @built.current_ampere
          STEPS.times do
            ampere = (low + high) / 2
            turning = speed(ampere, yield(ampere) - (ampere * (path_ohm + @built.own_ohm)))
            flux_ratio(ampere) * ampere > friction(oil_celsius, [turning, 0.0].max) || turning <= 0 ? high = ampere : low = ampere
          end
          turning = speed(high, yield(high) - (high * (path_ohm + @built.own_ohm)))
          [high, turning < 3.0 ? 0.0 : turning]
        end

        private

        def speed(ampere, back_emf_volt) = back_emf_volt / (@flux * flux_ratio(ampere))

        # Against that at the nominal current.
        def flux_ratio(ampere)
          return 1.0 if @built.magnets

          knee = SATURATES_AT * @built.current_ampere
          (ampere / (ampere + knee)) / (@built.current_ampere / (@built.current_ampere + knee))
        end

        def friction(oil_celsius, rpm)
          thick = Math.exp(@built.oil_slope * (27.0 - oil_celsius))
          drag = 1.0 - @built.drag_share + (@built.drag_share * rpm / @built.speed_rpm)
          @torque * (DRY_SHARE + ((1.0 - DRY_SHARE) * thick * drag))
        end
      end
    end
  end
end
