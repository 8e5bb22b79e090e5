# frozen_string_literal: true

module Server
  module Presenters
    # What a sound circuit shows between two points, and the drop that its path may have.
    module Expectation
      CORE = Wattomneum

      # @param probe [CORE::Readings::Probe]
      # @param assessment [CORE::Faults::Assessment] with a circuit
      # @return [Hash] shown: in words, nil where nothing is expected; limit: in words, nil where none fits; objection: why it tells nothing
      def self.call(probe, assessment)
        shown = assessment.machine.sound_reading.call(probe)
        { shown: words(probe, shown), limit: limit(probe, assessment), objection: nil }
      rescue CORE::RefusedError => e
        { shown: nil, limit: nil, objection: e.message }
      end

      def self.words(probe, shown)
        figure = CORE::Quantities::Figure
        return CORE::Readings::Methods.fetch(probe.by).choices.find { |one| one['key'] == shown.observation }['label'] if shown.observation
        return 'OL' if shown.over_range

        case probe.by
        when 'ohms' then figure.ohm(shown.value)
        when 'current' then figure.ampere(shown.value)
        else figure.volt(shown.value.abs < 0.0005 ? 0.0 : shown.value)
        end
      end

      # Only of a path that current flows along without a load.
      def self.limit(probe, assessment)
        return unless probe.by == 'volts' && probe.opened.empty? && assessment.paths

        circumstances = assessment.paths.circumstances
        path = circumstances.paths(probe).between(probe.from, probe.to)
        return unless path.plain? && path.steps.any?

        units = assessment.machine.repair_units.along(path.steps.map(&:index))
        side = [probe.from, probe.to].include?(circumstances.negative_post) ? :return : :feed
        to_come = CORE::Readings::PointReading.new(id: '', probe: probe, taken_at: 0)
        "at most #{CORE::Quantities::Figure.volt(CORE::Evidence::Points::PathLimit.new(path, units, circumstances, side, to_come).call.volt)}"
      end
      private_class_method :words, :limit
    end
  end
end
