# frozen_string_literal: true

module Server
  module Models
    # A reading that nobody has taken yet: its points looked up as those of a reading are.
    class PointQuestion
      # @return [Wattomneum::Faults::Assessment]
      attr_reader :assessment

      # @param record [Queries::JobRecord]
      # @param probe [Hash] of Contracts::NewReading::PROBE
      def initialize(record, probe)
        @record = record
        @asked = probe
        @machine = record.circuit.machine!
        @assessment = record.assessment
      end

      # @return [Wattomneum::Readings::Probe]
      # @raise [Refusals::InvalidInput]
      def probe
        Wattomneum::Readings::Probe.new(by: @asked[:by], from: point('from'), to: point('to'), situation: situation,
                                        opened: @asked.fetch(:opened, []))
      end

      private

      def situation = Wattomneum::Circuits::Situations.on(@machine.sheet, @asked[:situation]).key

      def point(name)
        @machine.points.named(@asked[name.to_sym]).node
      rescue Wattomneum::UnknownKeyError => e
        raise Refusals::InvalidInput.new(e.message, fields: { name => ['not on this unit'] })
      end
    end
  end
end
