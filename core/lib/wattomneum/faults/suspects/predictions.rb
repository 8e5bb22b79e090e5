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

        # @return [Array<Circuits::RepairUnit, nil>] every part that is suspected, once; nil for nothing wrong
        def units = @units ||= hypotheses.map(&:unit).uniq

        # @return [Array<Integer>] for each hypothesis where its part stands among them
        def unit_places
          @unit_places ||= begin
            places = units.each_with_index.to_h
            hypotheses.map { |one| places.fetch(one.unit) }
          end
        end

        # @param from [String] node
        # @param to [String] node
        # @return [Read] of all hypotheses
        def between(from, to) = @between[[from, to]] ||= read(from, to, hypotheses.each_index.to_a, Array.new(hypotheses.size))

        # @param from [String] node
        # @param to [String] node
        # @param indices [Array<Integer>] of hypotheses
        # @return [Read] of these only
        def of(indices, from, to) = @between[[from, to]] || read(from, to, indices, {})

        # Plain, since a ranking asks for some ten thousand of them.
        #
        # @param indices [Array<Integer>] of hypotheses
        # @param from [String] node
        # @param to [String] node
        # @yieldparam index [Integer]
        # @yieldparam mean [Float] scaled volts
        # @yieldparam off [Float] what tolerance does
        # @yieldparam band [Float] what half a grade of severity does
        def each(indices, from, to)
          one, other = places(from, to)
          means = {}
          indices.each do |index|
            mean = means[index] ||= scaled(index, one, other)
            yield index, mean, off(index, one, other, mean), band(index, one, other, means)
          end
        end

        # @return [Array<Float>] for each hypothesis the volts of the posts; 0 where they are not named
        def posts
          @posts ||= hypotheses.each_index.map { |index| @table.posts.one? ? 0.0 : @table.volt(index, *places(*@table.posts)) }
        end

        # @param consumer [Circuits::Consumer]
        # @return [Array<Float>] for each hypothesis the share of its sound volts across it
        def shares(consumer)
          @shares[consumer.key] ||= begin
            ends = places(consumer.from, consumer.to)
            volts = hypotheses.each_index.map { |index| @table.volt(index, *ends) }
            volts.map { |volt| volts.first.zero? ? 0.0 : volt / volts.first }
          end
        end

        private

        def places(from, to) = [@table.place(from), @table.place(to)]

        def read(from, to, indices, empty)
          Read.new(means: empty.dup, offs: empty.dup, bands: empty.dup).tap do |read|
            each(indices, from, to) do |index, mean, off, band|
              read.means[index] = mean
              read.offs[index] = off
              read.bands[index] = band
            end
          end
        end

        # With its sign, since one severity holds for all readings.
        def band(index, one, other, means)
          least, most = neighbours(index)
          return 0.0 if least == most

          high = means[most] ||= scaled(most, one, other)
          BAND_SHARE * (high - (means[least] ||= scaled(least, one, other))) / (most - least)
        end

        def scaled(index, one, other, unit = 0) = Math.asinh(@table.volt(index, one, other, unit) / SCALE_VOLT)

        def off(index, one, other, mean)
          squares = 0.0
          @table.others.each do |unit|
            off = scaled(index, one, other, unit) - mean
            squares += off * off
          end
          Math.sqrt(squares / @table.others.size)
        end

        # The grades of severity beside this one, itself where it is an end or has none.
        def neighbours(index)
          (@neighbours ||= [])[index] ||= [index - 1, index + 1].map { |other| neighbour?(index, other) ? other : index }
        end

        def neighbour?(index, other)
          one, following = [index, other].minmax
          one >= 0 && following < hypotheses.size && hypotheses[one].next_to?(hypotheses[following])
        end
      end
    end
  end
end
