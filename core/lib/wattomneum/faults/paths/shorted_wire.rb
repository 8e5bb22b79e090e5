# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Ohms to ground that are short: which run of wire is rubbed through. One is convicted by its ohms, of several parting the piece tells which,
      # or eyes.
      class ShortedWire
        PART_IT = 'The short is in one of several runs. Look along them first: bare copper or a rubbed place settles it. Else part them here'
        BACK_IN_PLACE = 'Without it there is no short. With it back in its place there has to be one again'
        CONTRADICTED = 'With one or the other out of it there is no short, with all of them in it there was: a reading is wrong, or it comes and goes'
        private_constant :PART_IT, :BACK_IN_PLACE, :CONTRADICTED

        # @param machine [Circuits::Machine]
        # @param probe [Readings::Probe] of ohms
        # @return [Boolean] whether the sheet leads nowhere there, so that ohms tell a short
        def self.tells?(machine, probe)
          probe.opened.size <= Readings::Probe::MOST_OPENED && machine.sound_reading.call(probe).over_range
        rescue RefusedError
          false
        end

        # @param kase [Case]
        # @param order [Order] makes the steps
        # @param reading [Readings::PointReading] of ohms to ground that are short
        def initialize(kase, order, reading)
          @case = kase
          @order = order
          @piece = GroundedPiece.new(kase, reading)
        end

        # @return [Step, nil] nil where it was mended in vain
        def call
          wires = @piece.wires
          return contradicted if wires.empty?
          return @piece.certain? ? convicted(wires.first) : back_in_place if wires.one?

          probe = @piece.parting { |one| ShortedWire.tells?(@case.machine, one) }
          probe ? @order.measure(probe, why: PART_IT) : look_along(wires)
        end

        private

        def shown = @piece.shown
        def summary = @case.judgements.fetch(shown.id).summary
        def words = Words.probe(shown.probe, @case.machine)

        # Undone and redone.
        def back_in_place = @order.measure(shown.probe, kind: 'repeat', why: BACK_IN_PLACE, title: "Back in place: #{words}")

        # Short with the one in it, insulated with each of them out.
        def contradicted
          return look_along(@piece.all) if @case.times(shown.probe) > 1

          @order.measure(shown.probe, kind: 'repeat', title: "Once more: #{words}", why: CONTRADICTED)
        end

        def convicted(unit)
          return if @case.mended_in_vain?(unit.key)

          Step.new(kind: 'repair', unit: unit.key, minutes: unit.minutes, failing_reading_id: shown.id, risks: unit.cautions,
                   title: "Shorted to ground: #{unit.label}", why: summary)
        end

        def look_along(wires)
          Step.new(kind: 'watch', minutes: 0, risks: [], title: "Shorted to ground: look along #{wires.map(&:label).join(' and ')}",
                   why: "#{summary}. Record what was mended, and the ohms prove it")
        end
      end
    end
  end
end
