# frozen_string_literal: true

module Demo
  # What was told of spark engines, and what the lead answered to faults with which an engine will not stop.
  class Engines
    MODELS = Server::Models
    HOUR = 3600
    DAY = 86_400
    private_constant :MODELS, :HOUR, :DAY

    # @param plan [Hash] engines and stop_answers of demo/fleet.yml
    # @param people [Hash{String => MODELS::Account}] by role
    # @param now [Time]
    def initialize(plan, people:, now:)
      @plan = plan
      @people = people
      @now = now
    end

    # @return [void]
    def write
      @plan.fetch('engines').each { |row| tell(row) }
      MODELS::UnitSheet.current.eager(:unit, version: :sheet).all.select { |one| one.version.names_stops? }.each { |one| MODELS::StopFinding.work_out(one) }
      @plan.fetch('stop_answers').each { |row| answer(row) }
    end

    private

    def unit(row) = MODELS::Unit.first(number: row.fetch('unit'))

    def fitted(row)
      MODELS::UnitSheet.current.where(unit_id: unit(row).id).eager(:unit, version: :sheet).all.find { |one| one.version.sheet.key == row['sheet'] }
    end

    def tell(row)
      row.fetch('told').each_with_index do |said, index|
        input = { id: SecureRandom.uuid, craft: row['craft'], **where(row), **symbols(row, said) }
        checked = Server::Contracts.check(Server::Contracts::NewEngineEntry.new, JSON.parse(JSON.generate(input)))
        entry = MODELS::EngineEntry.tell(Server::Queries::Engine.new(unit(row)), checked, by: @people.fetch('electrician'))
        entry.update(at: @now - (row['days'] * DAY) + (index * HOUR))
      end
    end

    def where(row)
      return {} unless row['craft'] == 'kill'

      about = fitted(row)
      sheet = about.version.to_core
      { sheet: about.id, device: sheet.part(sheet.stops.first.device).uuid }
    end

    # Branches are named by the number of their wire.
    def symbols(row, said)
      told = said.transform_keys(&:to_sym)
      told.key?(:branch) ? { **told, branch: fitted(row).version.to_core.wire(told[:branch]).uuid } : told
    end

    def answer(row)
      about = fitted(row)
      Server::Queries::SheetToRead.of(about, fitted: about).machine.stop_tables.each do |device, table|
        MODELS::StopAnswer.give(about, table, { id: SecureRandom.uuid, device: device, words: row['words'] }, by: @people.fetch('lead'))
      end
    end
  end
end
