# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # What of a circuit is the starter's and what the alternator's: their currents are known in other ways, and have limits of their own.
      class Loops
        # A path that carries this share of what the starter takes is the starter's.
        START_SHARE = 0.3
        CHARGE_SIDES = %w[alternator_output_drop alternator_case_drop].freeze
        private_constant :START_SHARE, :CHARGE_SIDES

        # @param circumstances [Circumstances]
        def initialize(circumstances)
          @circumstances = circumstances
          @machine = circumstances.machine
          @alternators = {}
        end

        # @param path [Circuits::Questions::PathFinder::Path]
        # @return [Boolean] whether the starter's current flows all along it
        def starters?(path)
          usual = @circumstances.system&.usual_cranking_current_ampere or return false
          path.steps.any? && path.steps.all? { |step| step.ampere.abs > START_SHARE * usual }
        end

        # @param probe [Readings::Probe]
        # @return [Boolean] whether it is read straight along the start loop
        def start_path?(probe)
          path = @circumstances.paths(probe).between(probe.from, probe.to)
          path.plain? && starters?(path)
        end

        # @param reading [Readings::PointReading] of one side of the start loop
        # @return [Boolean] whether the other side was read in its situation and round
        def other_side_read?(reading)
          others = sides(Readings::Catalogue::START_SIDES).reject { |side| side.alike?(reading.probe) }
          @circumstances.readings.any? { |one| one.round == reading.round && others.any? { |side| side.alike?(one.probe) } }
        end

        # @param units [Array<Circuits::RepairUnit>]
        # @param probe [Readings::Probe]
        # @return [Boolean] whether all of them lie between the alternator and the posts
        def alternators?(units, probe) = (units - (@alternators[probe.situation] ||= around_alternator(probe))).empty?

        # @param probe [Readings::Probe]
        # @return [Boolean] whether it reads one of the two sides of the alternator, whatever was said beside it
        def charge_side?(probe) = ends_of?(CHARGE_SIDES, [probe.from, probe.to])

        # @param ends [Array(String, String)] nodes
        # @return [Boolean] whether they are the ends of one of the two sides of the start loop
        def start_side?(ends) = ends_of?(Readings::Catalogue::START_SIDES, ends)

        private

        def ends_of?(keys, ends) = sides(keys).any? { |side| [side.from, side.to].sort == ends.sort }
        def sides(keys) = keys.filter_map { |key| Readings::Catalogue.fetch(key).probe(@machine.sheet) }

        def around_alternator(probe)
          paths = sides(CHARGE_SIDES).map { |side| @circumstances.paths(probe).between(side.from, side.to) }
          paths.flat_map { |path| @machine.repair_units.along(path.steps.map(&:index)) }
        end
      end
    end
  end
end
