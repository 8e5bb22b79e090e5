# frozen_string_literal: true

module Demo
  # Spare batteries, and those that were moved: off one unit onto the shelf or into another, each with its history.
  class Shelf
    MODELS = Server::Models
    DAY = 86_400

    # @param spares [Array<Hash>] of fleet.yml
    # @param moves [Array<Hash>] of fleet.yml
    # @param by [MODELS::Account]
    # @param now [Time]
    def initialize(spares, moves:, by:, now:)
      @spares = spares
      @moves = moves
      @by = by
      @now = now
    end

    # @return [void]
    def write
      @spares.each { |row| spare(row) }
      @moves.each { |row| move(row) }
    end

    private

    def spare(row)
      ampere, standard, type = row['battery']
      label = { tag: row['tag'], type: type, rating_ampere: ampere.to_f, rating_standard: standard, capacity_ampere_hour: (ampere / 8.0).round.to_f,
                date_code: row['made'] }
      battery = MODELS::Battery.establish(label, on: @now.to_date)
      MODELS::ShelfCheck.create(id: SecureRandom.uuid, battery_id: battery.id, rest_volt: row['rest'], charged: row['rest'].nil?, person_id: @by.id,
                                checked_at: @now - (row['days'] * DAY))
    end

    # The one that stood there goes where it is told; what took its place is new.
    def move(row)
      unit = MODELS::Unit.first(number: row['from'])
      at = @now - (row['days'] * DAY)
      gone = MODELS::Fitting.current.eager(:battery).where(unit_id: unit.id, position: row['position']).all.first
      gone.end_at(at)
      label = { tag: row['new'], type: gone.battery.type, rating_ampere: gone.battery.rating_ampere, rating_standard: gone.battery.rating_standard,
                capacity_ampere_hour: gone.battery.capacity_ampere_hour, date_code: row['made'] }
      MODELS::Fitting.place(unit_id: unit.id, battery_id: MODELS::Battery.establish(label, on: @now.to_date).id, position: row['position'], at: at)
      into(row['into'], gone.battery, at) if row['into']
      MODELS::StartThreshold.work_out(unit)
    end

    def into(place, battery, at)
      unit = MODELS::Unit.first(number: place['unit'])
      there = MODELS::Fitting.current.first(unit_id: unit.id, position: place['position'])
      there&.end_at(at)
      MODELS::Fitting.place(unit_id: unit.id, battery_id: battery.id, position: place['position'], at: at)
      MODELS::StartThreshold.work_out(unit)
    end
  end
end
