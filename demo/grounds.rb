# frozen_string_literal: true

module Demo
  # A round along the grounds of a unit last winter: most were clean, some had grown into resistors and were cleaned.
  class Grounds
    DAY = 86_400
    # Milliohms of a clean joint, and how much more a corroded one had.
    CLEAN = (0.02..0.2)
    GROWN = (6.0..30.0)
    BAD_SHARE = 0.2
    AMPERE = 25.0
    CRANKING = 320.0
    private_constant :DAY, :CLEAN, :GROWN, :BAD_SHARE, :AMPERE, :CRANKING

    # @param unit [Server::Models::Unit]
    # @param by [Server::Models::Account]
    # @param days [Numeric] ago
    # @param seed [Integer]
    # @param now [Time]
    def initialize(unit, by:, days:, seed:, now:)
      @unit = unit
      @by = by
      @time = now - (days * DAY)
      @random = Random.new(seed)
    end

    # @return [void]
    def write
      grounds = Server::Queries::UnitGrounds.new(@unit)
      rows = grounds.round.order.map { |place| row(place, grounds.starts?(place) ? CRANKING : AMPERE) }
      Server::Models::GroundService.multi_insert(rows)
    end

    private

    def row(place, ampere)
      clean = @random.rand(CLEAN)
      bad = @random.rand < BAD_SHARE && ampere == AMPERE
      before = bad ? clean * @random.rand(GROWN) : clean
      @time += place.minutes * 60
      { id: SecureRandom.uuid, unit_id: @unit.id, item_uuid: place.uuid, label: place.label, person_id: @by.id, served_at: @time,
        done: Sequel.pg_array(bad ? %w[cleaned protected] : [], :text), before_volt: volt(before, ampere), before_ampere: ampere,
        after_volt: bad ? volt(clean, ampere) : nil, after_ampere: bad ? ampere : nil }
    end

    def volt(milliohm, ampere) = (milliohm * ampere / 1000.0).round(4)
  end
end
