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
        # @return [Read] of all hypotheses
        def between(from, to) = @between[[from, to]] ||= read(from, to, hypotheses.each_index.to_a, Array.new(hypotheses.size))

        # @param from [String] node
        # @param to [String] node
        # @param indices [Array<Integer>] of hypotheses
        # @return [Read] of these only
        def of(indices, from, to) = @between[[from, to]] || read(from, to, indices, {})

        # @return [Array<Float>] for each hypothesis the volts of the posts; 0 where they are not named
        def posts
          @posts ||= hypotheses.each_index.map { |index| @table.posts.one? ? 0.0 : @table.volt(index, *@table.posts) }
        end

        # @param consumer [Circuits::Consumer]
        # @return [Array<Float>] for each hypothesis the share of its sound volts across it
        def shares(consumer)
          @shares[consumer.key] ||= begin
            volts = hypotheses.each_index.map { |index| @table.volt(index, consumer.from, consumer.to) }
            volts.map { |volt| volts.first.zero? ? 0.0 : volt / volts.first }
          end
        end

        private

        def read(from, to, indices, empty)
          read = Read.new(means: empty.dup, offs: empty.dup, bands: empty.dup)
          mean = Hash.new { |known, index| known[index] = self.class.scaled(@table.volt(index, from, to)) }
          indices.each do |index|
            read.means[index] = mean[index]
            read.offs[index] = off(@table.other_volts(index, from, to), mean[index])
            read.bands[index] = band(index, mean)
          end
          read
        end

        def off(others, own) = Math.sqrt(others.sum { |volt| (self.class.scaled(volt) - own)**2 } / others.size)

        # With its sign, since one severity holds for all readings.
        def band(index, mean)
          least, most = [index, *neighbours(index)].minmax
          least == most ? 0.0 : BAND_SHARE * (mean[most] - mean[least]) / (most - least)
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
