# frozen_string_literal: true

module Wattomneum
  module Faults
    module Ladders
      # The coil of a starter's solenoid on the unit's circuit: full volts across it, called, and silent speak against it.
      class StarterCoil
        # @param assessment [Assessment]
        def initialize(assessment)
          @assessment = assessment
        end

        # @return [Readings::Probe, nil] across it while it is called
        def probe
          node = @assessment.machine.sheet.places['solenoid_terminal'] if @assessment.machine
          consumer = node && @assessment.machine.consumers.all.find { |one| [one.from, one.to].include?(node) }
          consumer && Paths::Probes.across(consumer, 'cranking')
        end

        # @return [Readings::PointReading, nil]
        def reading = @assessment.paths.reading(probe)

        # @return [Evidence::Judgement, nil]
        def judgement = probe && @assessment.paths.judgement(probe)
      end
    end
  end
end
