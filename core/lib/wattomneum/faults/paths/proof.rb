# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # The proof of a repair of something on the circuit: what it is read from is a Case, its readings are between two points.
      class Proof < Jobs::Proof
        # @return [Boolean]
        def along_circuit? = true

        # Of the system's volts: what had so much across it carried next to nothing (ours).
        OPEN_SHARE = 0.5
        CARRIED = %w[drop.sound drop.sound_turning].freeze
        private_constant :OPEN_SHARE, :CARRIED

        private

        # What hung open is not proved by no volts where nothing flows. That it carries is: a whole path that it is a part of, sound at its current.
        def find_state
          state = super
          state == 'void' && small_where_nothing_flows? && was_open? && carries? ? 'proved' : state
        end

        def small_where_nothing_flows? = Evidence::Points::DropJudge::WANTS_CURRENT.include?(@assessment.judgements.fetch(after.id).code)

        def was_open?
          before.probe.by == 'volts' && !before.value.nil? && before.value.abs >= OPEN_SHARE * @assessment.circumstances.system.system_volt
        end

        def carries?
          own = branches(before.probe)
          own.any? && @assessment.readings.any? do |reading|
            since(reading) && cleared_drop?(reading) && !same_points?(reading) && (own - branches(reading.probe)).empty?
          end
        end

        def cleared_drop?(reading) = @assessment.judgements.fetch(reading.id).then { |one| one.sound? && CARRIED.include?(one.code) }

        # Of one plain path; none where it branches.
        def branches(probe)
          path = @assessment.circumstances.paths(probe).between(probe.from, probe.to)
          path.plain? ? path.steps.map(&:index) : []
        end

        def same_points?(reading) = reading.probe.alike?(before.probe)
        def named = Words.probe(before.probe, @assessment.machine)
      end
    end
  end
end
