# frozen_string_literal: true

module Wattomneum
  module Practice
    module Physics
      # An alternator with its regulator: it holds its volts as long as speed, field and belt give the ampere, and gives no more than those.
      #
      # Formula: most = rating x health x field x (1 - exp(-(n - 0.22) / 0.28)), n against full speed.
      # Source: output curve of any data sheet, from memory.
      class Generator
        SETPOINT_VOLT = 14.2
        VOLT_PER_CELSIUS = -0.008
        DROOP_OHM = 0.0015
        SHORT_OF_IT_OHM = 4.0
        BLOCKED_OHM = 2000.0
        SPEEDS = { idle: 0.5, fast: 0.95 }.freeze
        DEAD_SHARE = 0.001
        STARTS_AT_AMPERE = 0.1

        # @return [Float] volts that it holds where it senses
        attr_reader :setpoint

        # @param rating_ampere [Float]
        # @param setpoint [Float, nil] of its plate; volts
        # @param blocks [Float] of 12 V
        # @param celsius [Float]
        # @param engine [Symbol] idle or fast
        # @param ails [Hash{Symbol => Float}] share: of its phases that works; shift: volts by which its regulator is off; grip: of the belt
        def initialize(rating_ampere:, blocks:, celsius:, engine:, setpoint: nil, ails: {})
          @setpoint = (setpoint || (SETPOINT_VOLT * blocks)) + (VOLT_PER_CELSIUS * blocks * (celsius - 25)) + ails.fetch(:shift, 0.0)
          speed = SPEEDS.fetch(engine) * ails.fetch(:grip, 1.0)
          turned = [1 - Math.exp(-(speed - 0.22) / 0.28), DEAD_SHARE].max
          @most = rating_ampere * 1.05 * turned * ails.fetch(:share, 1.0)
          @blocks = blocks
          @excites = ails.fetch(:share, 1.0) > 10 * DEAD_SHARE
        end

        # @return [Boolean] whether its own phases feed its field once it turns
        def excites_itself? = @excites

        # @param ampere [Float] into B+; less than 0 where it gives
        # @param field [Float] share of the field that it has
        # @param over [Float] volts that it goes over its setpoint, to make up for what its sense terminal misses
        # @return [Float] volts from B+ to case
        def volt(ampere, field, over)
          level = @setpoint + over
          return level + (ampere * BLOCKED_OHM) if ampere.positive?

          given = -ampere
          most = [@most * field, 0.05].max
          level - (given * DROOP_OHM * @blocks) - ([given - most, 0.0].max * SHORT_OF_IT_OHM * @blocks)
        end
      end
    end
  end
end
