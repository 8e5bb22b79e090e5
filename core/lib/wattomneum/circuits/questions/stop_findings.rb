# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What a table of stops finds of a drawing, in sentences: with which single faults which ways of asking stop nothing, repair unit by repair
      # unit. It is about the drawing, not about a unit that has it: that one is held by a stop that was tried.
      class StopFindings
        WITH = { 'lost' => 'if %s opens', 'fed' => 'if %s touches a live wire', 'stuck' => 'with %s', 'hose' => 'if the %s comes off' }.freeze
        # In how many words one sentence still reads.
        MOST_NAMED = 6
        UNITS = %w[lost fed].freeze
        private_constant :WITH, :MOST_NAMED, :UNITS

        # @param machine [Machine]
        # @param table [StopTable] of it
        def initialize(machine, table)
          @machine = machine
          @table = table
        end

        # @return [Array<String>] what nothing stops first
        def words
          groups = @table.will_not_stop.group_by { |row| [kind(row), row.nothing_stops? ? [] : failing(row)] }
          groups.sort_by.with_index { |((_, fails), _), at| [fails.empty? ? 0 : 1, at] }
                .map { |(kind, fails), rows| "#{subject(fails)} #{format(WITH.fetch(kind), names(kind, rows))}." }
        end

        private

        def all = @table.asked.map(&:key)
        def kind(row) = row.kind == 'hose' ? 'hose' : row.how
        # What never stops it by its drawing says nothing of a fault.
        def failing(row) = all.select { |key| @table.sound.stops.fetch(key) && !row.stops.fetch(key) }

        def subject(fails)
          return 'Nothing stops it' if fails.empty?

          "#{@table.asked.select { |one| fails.include?(one.key) }.map(&:label).join('; ')}: not stopped"
        end

        def names(kind, rows)
          units = rows.map { |row| UNITS.include?(kind) ? unit(row) : Wording.inside(row.label) }.uniq
          shown = units.first(MOST_NAMED)
          shown << "one of #{units.size - MOST_NAMED} more" if units.size > MOST_NAMED
          shown.one? ? shown.first : "#{shown[..-2].join(', ')} or #{shown.last}"
        end

        def unit(row) = @machine.repair_units.of(@machine.circuit.item(row.item).branches.first).key
      end
    end
  end
end
