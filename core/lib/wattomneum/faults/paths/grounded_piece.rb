# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Which run of wire is rubbed through to ground: every reading of ohms to ground says of the whole piece that hung on its point whether it is
      # in it. Where several are left the piece is parted once more: at a plug, at a stud, at last at the pin or splice they meet in.
      class GroundedPiece
        SHORT = 'ohms.short'
        # What parting it there takes, against nothing to open at all (access.yml).
        LABOUR = Access::FIRST_TIME_MINUTES
        private_constant :SHORT, :LABOUR

        # @param kase [Case]
        # @param shown [Readings::PointReading] ohms to ground that are short
        def initialize(kase, shown)
          @case = kase
          @machine = kase.machine
          @shown = shown
        end

        # @return [Array<Circuits::RepairUnit>] wires that are left
        def wires
          @wires ||= told.reduce(all) do |left, reading|
            inside = piece(reading.probe)
            short?(reading) ? left & inside : left - inside
          end
        end

        # @return [Readings::PointReading] that showed it: nothing is taken out of its pin for the proof
        attr_reader :shown

        # @return [Array<Circuits::RepairUnit>] wires of the whole piece
        def all = piece(@shown.probe)

        # What is only left over was perhaps gone while the others were read: it is short by itself, or short again with all back in place.
        #
        # @return [Boolean]
        def certain?
          out = told.reject { |one| short?(one) }
          piece(smallest.probe) == wires || out.empty? || out.map(&:taken_at).max < shown.taken_at
        end

        # @return [Readings::PointReading] of the smallest piece that holds it
        def smallest = told.select { |one| short?(one) }.min_by { |one| piece(one.probe).size } || @shown

        # @param possible [Proc] whether a probe tells anything
        # @return [Readings::Probe, nil] that parts what is left most evenly for its labour
        def parting(&possible)
          probes = partings.select { |probe| @case.reading(probe).nil? && smaller(probe).positive? }
          probes.sort_by { |probe| -smaller(probe).fdiv(labour(probe)) }.find(&possible)
        end

        private

        # Not of a mend that is made already.
        def told
          @told ||= @case.current.select { |one| of_ground?(one.probe) && (short?(one) || @case.judgements.fetch(one.id).sound?) }
        end

        def of_ground?(probe)
          probe.by == 'ohms' && probe.to == @case.circumstances.negative_post && probe.situation == @shown.probe.situation
        end

        def short?(reading) = @case.judgements.fetch(reading.id).code == SHORT

        def partings
          probe = smallest.probe
          within = metal.reached(probe.from, without: @machine.apart.branches(probe.opened))
          @machine.apart.all.select { |thing| thing.branches.intersect?(within) }
                  .map { |thing| Readings::Probe.new(**probe.to_h, opened: [*probe.opened, thing.id]) }
        end

        # The smaller half of what is left.
        def smaller(probe) = (wires & piece(probe)).size.then { |near| [near, wires.size - near].min }

        def labour(probe)
          id = (probe.opened - smallest.probe.opened).first
          LABOUR.fetch(Circuits::Apart.kind(id, @machine.sheet), LABOUR.fetch('else'))
        end

        # What hung on its first point.
        def piece(probe)
          (@pieces ||= {})[probe] ||= metal.wires(probe.from, without: @machine.apart.branches(probe.opened))
        end

        def metal = @machine.metal(@case.circumstances.state(@shown.probe))
      end
    end
  end
end
