# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # What is known of the current in a path while its drop was read.
      module Flow
        # By clamp, or by the volts across what hangs on the path, against what the path carries in a sound circuit.
        class OfLoads
          # @param reading [Readings::PointReading]
          # @param units [Array<Circuits::RepairUnit>] along the path
          # @param sound_ampere [Float] that the path carries in a sound circuit
          # @param circumstances [Circumstances]
          def initialize(reading, units, sound_ampere, circumstances)
            @reading = reading
            @units = units
            @sound_ampere = sound_ampere
            @circumstances = circumstances
          end

          # @return [Float, nil] share of the sound current that flowed; nil where nobody knows
          def share
            return @share if defined?(@share)

            @share = @circumstances.uses.flow_share(@reading, @units, @sound_ampere)
          end

          # @return [nil] nothing bounds what may have flowed
          def most_share = nil

          # @return [Boolean, nil] whether enough flowed for a small drop to clear; nil when not known
          def enough? = under_load? || (share && share >= least_share)

          # @return [Boolean] whether somebody said that a lamp, or its own load, was on
          def under_load? = share.nil? && @reading.conditions.said('load_on') == :yes

          # @return [Float] ampere that a drop is brought to
          def usual_ampere = @sound_ampere

          # @return [Float] what the scaled drop may be off, as a share of it, by whatever the current is known by
          def error_ratio = 0.0

          # @return [Limits::Limit] the share that has to flow
          def least = @circumstances.limits.fetch('path.flow_least')

          # @return [String] what the drop is brought to
          def words = 'the current of a sound circuit'

          # @return [Array<String>] the sums, one a line
          def arithmetic = []

          # @return [String] what to do where too little is known of it
          def instead = 'Read the volts across what hangs on it in the same state, or say the current'

          private

          def least_share = least.value / 100.0
        end
      end
    end
  end
end
