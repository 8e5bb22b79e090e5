# frozen_string_literal: true

module Server
  module Presenters
    # Crank traces of a unit as a list, and one of them with its curve beside the last sound one.
    module UnitTraces
      CORE = Wattomneum
      CURVE = %i[second low high ampere].freeze
      private_constant :CURVE

      # @param unit [Models::Unit] its yard loaded
      # @return [Hash]
      def self.list(unit)
        { unit: unit.values.slice(:id, :number, :name), time_zone: unit.yard.time_zone, cylinders: Models::CrankTrace.cylinders_of(unit),
          traces: Queries::UnitTraces.new(unit).newest.map { |trace| line(trace) } }
      end

      # @param trace [Models::CrankTrace]
      # @param unit [Models::Unit] its yard loaded
      # @return [Hash]
      def self.one(trace, unit)
        before = Queries::UnitTraces.new(unit).sound_before(trace)
        answer = { **line(trace), rows: trace.rows, curve: curve(trace), marks: trace.marks.to_h, shares: trace.shares&.to_a,
                   remarks: trace.remarks.to_a, said: trace.said.to_a, before: before && beside(trace, before, unit) }
        InItsWords.call(answer, unit.core_system)
      end

      def self.line(trace)
        { id: trace.id, taken_at: trace.taken_at.iso8601, verdict: trace.verdict, celsius: trace.celsius, cylinders: trace.cylinders,
          figures: spoken(figures(trace)) }
      end

      def self.figures(trace) = trace.figures.to_h.transform_keys(&:to_sym)

      WORDS = { before_volt: ['Before the key', :volt], lowest_volt: ['Lowest, as it bites', :volt], settled_volt: ['Settled', :volt],
                peak_ampere: ['Most current', :ampere], settled_ampere: ['Settled current', :ampere], rpm: ['Speed', :rpm],
                bank_ohm: ['Bank with its posts', :ohm] }.freeze
      private_constant :WORDS

      def self.spoken(figures)
        WORDS.filter_map do |name, (label, figure)|
          { key: name, label: label, spoken: CORE::Quantities::Figure.public_send(figure, figures[name]) } if figures[name]
        end
      end

      def self.curve(trace) = trace.curve.map { |stretch| CURVE.zip(stretch).to_h }

      def self.beside(trace, before, unit)
        compared = CORE::Cranking::Trace::Comparison.new(figures(trace), figures(before), system: unit.core_system,
                                                                                          celsius: [trace.celsius, before.celsius])
        { id: before.id, taken_at: before.taken_at.iso8601, from_second: before.marks.to_h['from'], curve: curve(before),
          lines: compared.lines.map(&:to_h), caution: compared.caution }
      end
      private_class_method :line, :figures, :spoken, :curve, :beside
    end
  end
end
