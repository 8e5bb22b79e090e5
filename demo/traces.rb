# frozen_string_literal: true

require 'stringio'

module Demo
  # Starts of a unit as a scope wrote them, brought in as any other.
  class Traces
    DAY = 86_400
    HERTZ = 500.0
    # Of its usual cranking current, in the cold.
    COLD_SHARE = 1.2
    private_constant :DAY, :HERTZ, :COLD_SHARE

    # @param unit [Server::Models::Unit] its yard loaded
    # @param hidden [Wattomneum::Practice::Winter::Unit] what it is
    # @param by [Server::Models::Account]
    # @param now [Time]
    def initialize(unit, hidden:, by:, now:)
      @unit = unit
      @hidden = hidden
      @by = by
      @now = now
    end

    # @param starts [Array<Hash>] days (ago), celsius, and strengths of its cylinders where they are not even
    # @param cylinders [Integer]
    # @return [void]
    def write(starts, cylinders:)
      starts.each_with_index { |start, index| bring_in(start, cylinders, index) }
    end

    private

    def bring_in(start, cylinders, seed)
      text = recorded(@hidden.seen(start['celsius']), start['strengths'], cylinders, seed).csv(hertz: HERTZ)
      said = { id: SecureRandom.uuid, cylinders: cylinders, celsius: start['celsius'].to_f, taken_at: @now - (start['days'] * DAY) }
      Server::Models::CrankTrace.keep(@unit, Server::Models::CrankTrace.read(@unit, StringIO.new(text), said, now: @now), by: @by)
    end

    # Volts and speed are those it is seen with, the current is its own.
    def recorded(seen, strengths, cylinders, seed)
      ampere = COLD_SHARE * @unit.usual_cranking_current_ampere
      Wattomneum::Practice::CrankTrace.new(
        rest_volt: seen.rest_volt, bank_ohm: (seen.rest_volt - seen.posts_volt) / ampere, ampere: ampere,
        rpm: seen.speed_rpm || 165.0, cylinders: cylinders, strengths: strengths, second: 3.2, after_volt: seen.rest_volt + 0.9, seed: seed
      )
    end
  end
end
