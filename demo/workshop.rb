# frozen_string_literal: true

module Demo
  # What a workshop knows of its units beside their jobs: how to get at places of a class, second grounds, what some draw asleep.
  class Workshop
    CORE = Wattomneum
    DAY = 86_400
    MODELS = Server::Models
    private_constant :CORE, :DAY, :MODELS

    # @param plan [Hash{String => Array<Hash>}] access, second_grounds and asleep of demo/fleet.yml
    # @param by [Server::Models::Account]
    # @param now [Time]
    def initialize(plan, by:, now:)
      @plan = plan
      @by = by
      @now = now
    end

    # @return [void]
    def write
      @plan.fetch('access').each { |row| access(row) }
      @plan.fetch('second_grounds').each { |row| second_ground(row) }
      @plan.fetch('asleep').each { |row| asleep(unit(row), row.fetch('read')) }
    end

    private

    def unit(row) = MODELS::Unit.first(number: row.fetch('unit'))
    def kept(days) = { id: SecureRandom.uuid, person_id: @by.id, at: @now - (days * DAY) }

    def access(row)
      one = kept(row['days'])
      MODELS::AccessNote.create(**one.except(:at), noted_at: one[:at], unit_class_id: MODELS::UnitClass.named(row['make'], row['model']).id,
                                                   place: row['place'], text: row['text'])
    end

    def second_ground(row)
      one = kept(row['days'])
      MODELS::SecondGround.create(**one.except(:at), added_at: one[:at], unit_id: unit(row).id, section_mm2: row['section_mm2'], note: row['note'])
    end

    # Read on a round, each by itself.
    def asleep(truck, read)
      circuits = Server::Queries::UnitCircuits.new(truck.id)
      rows = ReadingRows.new(truck, batteries: {}, by: @by, system: circuits.system, whole: circuits.whole)
      rows.keep(read.map { |one| [reading(one), @now - (one['days'] * DAY)] }, job: nil)
      MODELS::StartThreshold.work_out(truck)
    end

    def reading(one)
      said = { 'asleep_waited' => 'yes', **(one['allowed'] ? { 'asleep_allowed_milliampere' => one['allowed'].to_f } : {}) }
      CORE::Readings::Reading.new(id: SecureRandom.uuid, test_key: 'draw_asleep', value: one['ampere'], conditions: said, state: 'off',
                                  taken_at: @now - (one['days'] * DAY))
    end
  end
end
