# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # How a reading between two points is called.
      module Words
        # @param probe [Readings::Probe]
        # @param machine [Circuits::Machine]
        # @return [String] "volts, K11:86 to BAT:-, key on, engine stopped"
        def self.probe(probe, machine)
          test = Readings::Catalogue.along(probe, machine.sheet)
          return Wording.inside(test.label) if test

          state = Circuits::Situations.on(machine.sheet, probe.situation).label
          way = Wording.inside(Readings::Methods.fetch(probe.by).label)
          return "#{machine.circuit.watch_of(probe.from)&.label || short(probe.from, machine)}: #{way}, #{state}" if probe.by == 'seen'

          ["#{way}, #{short(probe.from, machine)} to #{short(probe.to, machine)}, #{state}", *Circuits::Apart.words(probe.opened)].join(', ')
        end

        MOST_NAMED = 2
        private_constant :MOST_NAMED

        # @param units [Array<Circuits::RepairUnit>]
        # @return [String] "F2, wire 5 or 3 more"; the third is named, since "1 more" is no shorter
        def self.any_of(units)
          named = units.size == MOST_NAMED + 1 ? units : units.first(MOST_NAMED)
          more = units.size - named.size
          *others, last = [*named.map { |unit| part(unit) }, *("#{more} more" if more.positive?)]
          [*(others.join(', ') if others.any?), last].join(' or ')
        end

        # @param labels [Array<String>] each with a capital
        # @return [String] "Touches the metal, or closed when it should be open"
        def self.either(labels) = [labels.first, *labels.drop(1).map { |label| Wording.inside(label) }].join(', or ')

        # @param unit [Circuits::RepairUnit]
        # @return [String] "ring of wire 5 on G2" says where it is; of a component its name does: "pre-fuse cab (F2)"
        def self.part(unit)
          key, name = unit.label.split(', ', 2)
          name.nil? || key.include?(' ') ? Wording.inside(key) : "#{Wording.inside(name)} (#{key})"
        end

        # @param node [String]
        # @param machine [Circuits::Machine]
        # @return [String] by what it is, or as it is drawn
        def self.short(node, machine) = machine.points.spoken(node)
      end
    end
  end
end
