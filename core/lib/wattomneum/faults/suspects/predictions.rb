# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # What a meter would show with each hypothesis, and how far components within their tolerance and the grades of severity move it.
      class Predictions
        # Volts on a scale on which a millivolt of a ground and a volt of a feed are told apart alike.
        SCALE_VOLT = 0.02
        # A grade stands for all severities to half way to its neighbours (ours).
        BAND_SHARE = 0.33
        # Of two points, by hypothesis: means: scaled volts; offs: what tolerance does; bands: what half a grade of severity does
        Read = Struct.new(:means, :offs, :bands, keyword_init: true)
        private_constant :BAND_SHARE

        # @param volt [Float]
        # @return [Float]
        def self.scaled(volt) = Math.asinh(volt / SCALE_VOLT)

        # @param scaled [Float]
        # @return [Float] volts
        def self.volts(scaled) = Math.sinh(scaled) * SCALE_VOLT

        # @param table [Table] worked out
        def initialize(table)
          @table = table
          @between = {}
          @shares = {}
        end

        # @return [Array<Hypothesis>]
        def hypotheses = @table.hypotheses

        # @param from [String] node
        # @param to [String] node
        # @return [Read]
        def between(from, to)
          @between[[from, to]] ||= begin
            volts = hypotheses.each_index.map { |index| @table.volts(index, from, to).map { |volt| self.class.scaled(volt) } }
            means = volts.map(&:first)
            offs = volts.map { |own, *others| Math.sqrt(others.sum { |other| (other - own)**2 } / others.size) }
            Read.new(means: means, offs: offs, bands: bands_of(means))
          end
        end

        # @param consumer [Circuits::Consumer]
        # @return [Array<Float>] for each hypothesis the share of its sound volts across it
        def shares(consumer)
          @shares[consumer.key] ||= begin
            volts = hypotheses.each_index.map { |index| @table.volts(index, consumer.from, consumer.to).first }
            volts.map { |volt| volts.first.zero? ? 0.0 : volt / volts.first }
          end
        end

        private

        # With its sign, since one severity holds for all readings.
        def bands_of(means)
          hypotheses.each_index.map do |index|
            least, most = [index, *neighbours(index)].minmax
            least == most ? 0.0 : BAND_SHARE * (means[most] - means[least]) / (most - least)
          end
        end

        def neighbours(index)
          @neighbours ||= {}
          @neighbours[index] ||= [index - 1, index + 1].select do |other|
            one, following = [index, other].minmax.map { |at| hypotheses[at] if at >= 0 }
            one && following && one.next_to?(following)
          end
        end
      end
    end
  end
end
