# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # How much likelier the unit's own past makes each of its parts: what was mended before comes back, and where hands were last something
      # was left loose, pinched or unplugged.
      class Priors
        ROWS = DataFile.load('priors').freeze
        MENDED, BESIDE = %w[mended beside].map { |key| ROWS.find { |row| row['key'] == key } }
        # Older work says nothing.
        LONGEST_DAYS = ROWS.map { |row| row['days'] }.max
        private_constant :ROWS, :MENDED, :BESIDE

        # @param machine [Circuits::Machine]
        # @param past [Array<Jobs::PastWork>]
        def initialize(machine, past)
          @units = machine.repair_units.all
          known = @units.to_h { |unit| [unit.key, unit] }
          @past = past.filter_map { |work| [known[work.unit], work.days] if known.key?(work.unit) }.sort_by(&:last)
        end

        # @return [Hash{String => Float}] by key of a part that the past speaks for what its weight is times
        def ratios
          @ratios ||= @units.select { |unit| rows(unit).any? }.to_h { |unit| [unit.key, rows(unit).map { |row, _| row['ratio'] }.reduce(:*)] }
        end

        # @param unit [Circuits::RepairUnit]
        # @return [String, nil] what of the past speaks for it: "work beside it 12 days ago"
        def words(unit)
          found = rows(unit).map { |row, days| row['words'].sub('{days}', days == 1 ? '1 day' : "#{days} days") }
          found.join(', ') unless found.empty?
        end

        private

        # Each with how many days ago it was last so.
        def rows(unit)
          [[MENDED, @past.find { |one, _| one.key == unit.key }], [BESIDE, @past.find { |one, _| beside?(one, unit) }]]
            .filter_map { |row, (_, days)| [row, days] if days && days <= row['days'] }
        end

        def beside?(one, unit) = one.key != unit.key && !one.zone.nil? && one.zone == unit.zone
      end
    end
  end
end
