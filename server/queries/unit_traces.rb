# frozen_string_literal: true

module Server
  module Queries
    # The crank traces of a unit, the newest first, and the sound one before each.
    class UnitTraces
      MOST = 50
      LINE = %i[id taken_at verdict celsius cylinders figures].freeze
      private_constant :LINE

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = unit
      end

      # SQL: select <line> from crank_trace where unit_id = ? order by taken_at desc limit 50
      #
      # @return [Array<Models::CrankTrace>] without their curves
      def newest = of_unit.select(*LINE).order(Sequel.desc(:taken_at)).limit(MOST).all

      # SQL: select <line>, curve from crank_trace where unit_id = ? and verdict = 'sound' and taken_at < ? order by taken_at desc limit 1
      #
      # @param trace [Models::CrankTrace]
      # @return [Models::CrankTrace, nil] the last sound one before it
      def sound_before(trace)
        of_unit.where(verdict: 'sound').where { taken_at < trace.taken_at }.select(*LINE, :curve, :marks).order(Sequel.desc(:taken_at)).first
      end

      private

      def of_unit = Models::CrankTrace.where(unit_id: @unit.id)
    end
  end
end
