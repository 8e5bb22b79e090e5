# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # How much likelier the unit's own past makes each of its parts: what was mended before comes back, and where hands were last something
      # was left loose, pinched or unplugged; what was just fitted new is seldom the fault.
      class Priors
        ROWS = DataFile.load('priors').freeze
        MENDED, BESIDE, FITTED, HANDLED = %w[mended beside fitted handled].map { |key| ROWS.find { |row| row['key'] == key } }
        # Older work says nothing.
        LONGEST_DAYS = ROWS.map { |row| row['days'] }.max
        private_constant :ROWS, :MENDED, :BESIDE, :FITTED, :HANDLED

        # @param machine [Circuits::Machine]
        # @param past [Array<Jobs::PastWork>]
        def initialize(machine, past)
          @units = machine.repair_units.all
          known = @units.to_h { |unit| [unit.key, unit] }
          @past = past.filter_map { |work| Done.new(known[work.unit], work.days, work.kind) if known.key?(work.unit) }.sort_by(&:days)
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

        # Something done to a part.
        Done = Struct.new(:unit, :days, :kind)
        private_constant :Done

        # Each with how many days ago it was last so. What was told at the intake speaks beside what the records know.
        def rows(unit)
          own = @past.select { |one| one.unit.key == unit.key }
          near = @past.select { |one| beside?(one.unit, unit) }
          [[MENDED, done(own, 'mended')], [BESIDE, done(near, 'mended')], [FITTED, done(own, 'fitted')], [HANDLED, told(near)]]
            .filter_map { |row, one| [row, one.days] if one && one.days <= row['days'] }
        end

        def done(past, kind) = past.find { |one| one.kind == kind }
        def told(past) = done(past, 'fitted') || done(past, 'handled')
        def beside?(one, unit) = one.key != unit.key && !one.zone.nil? && one.zone == unit.zone
      end
    end
  end
end
