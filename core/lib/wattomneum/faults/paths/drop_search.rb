# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Where along a path that drops too much the volts are lost, by drops straight along pieces of it: each reading halves what lies between
      # the last good point and the first bad one, by how likely each part is, and the last is straight across one part.
      class DropSearch
        # What was read over a piece of the path, from one stop to another, and how much of it a sound piece would not drop.
        Piece = Struct.new(:low, :high, :excess_volt, keyword_init: true) do
          # @param other [Piece]
          # @return [Boolean] whether it is a part of the other
          def inside?(other) = low >= other.low && high <= other.high && [low, high] != [other.low, other.high]
          # @return [Integer] how many parts it has
          def size = high - low
        end

        # @param kase [Case]
        # @param whole [Readings::Probe] of the whole path, read and over its limit
        # @param ends [Array(String, String)] nodes from which it is followed and to which, where it was read against another post
        def initialize(kase, whole, ends: [whole.from, whole.to])
          @case = kase
          @whole = whole
          @ends = ends
          lay_out
        end

        # @return [Readings::Probe, nil] what to read next; nil where every part was read straight across that the volts can be lost in
        def next_probe
          return if @stops.size < 2 || excess(@whole).nil?

          piece = narrowed
          return straight_across(piece) if piece.size == 1

          low, high = best_cut(piece)
          probe(low, high)
        end

        # @return [Float] volts that are lost in what is left, over what a sound piece drops
        def unexplained_volt = narrowed.excess_volt

        # @return [Boolean] the path is laid out, it fails as a whole, and no part of it does by itself
        def misfit? = @stops.size > 1 && next_probe.nil?

        # @param whole_stands [Boolean] whether the whole was read again
        # @return [Readings::Probe, nil] of what does not add up to the whole, a piece that was read only once: the one in which the volts have to be
        #   lost, and any other once the whole stands
        def unsure(whole_stands:)
          return unless misfit?

          asked = [narrowed, *(pieces if whole_stands)].map { |piece| probe(piece.low, piece.high) }
          asked.find { |one| @case.times(one) == 1 }
        end

        # @return [String] what is left, by its ends
        def words
          piece = narrowed
          [piece.low, piece.high].map { |stop| Words.short(@stops[stop], @case.machine) }.join(' and ')
        end

        private

        # Stops are the points between two parts, from the battery outwards.
        def lay_out
          path = @case.circumstances.paths(@whole).between(*@ends)
          steps = path.plain? ? path.steps : []
          @units = @case.machine.repair_units.along(steps.map(&:index))
          @stops = [@ends.first] + @units.map { |unit| steps.reverse.find { |step| @case.machine.repair_units.of(step.index) == unit }.to }
        end

        def straight_across(piece)
          across = probe(piece.low, piece.high)
          across unless @case.reading(across)
        end

        # Held as the whole was: red where it was nearer to red.
        def probe(low, high)
          from, to = @whole.to == @ends.first ? [high, low] : [low, high]
          Readings::Probe.new(by: 'volts', from: @stops[from], to: @stops[to], situation: @whole.situation)
        end

        # Volts over what a sound piece drops at the current that flowed.
        def excess(probe)
          reading = @case.reading(probe) or return
          figures = @case.judgements.fetch(reading.id).figures
          figures.fetch(:excess_volt) { reading.value.abs } if reading.value
        end

        # A piece that has half of what is lost or more holds the fault; one that has less leaves it to the rest.
        def narrowed
          piece = Piece.new(low: 0, high: @stops.size - 1, excess_volt: excess(@whole))
          while (smaller = part_of(piece))
            piece = smaller
          end
          piece
        end

        def part_of(piece)
          inner = pieces.select { |one| one.inside?(piece) }
          holding, rest = inner.partition { |one| one.excess_volt >= piece.excess_volt / 2 }
          return holding.min_by(&:size) if holding.any?

          beside = rest.select { |one| one.low == piece.low || one.high == piece.high }.max_by(&:size) or return
          left_of = beside.high == piece.high
          Piece.new(low: left_of ? piece.low : beside.high, high: left_of ? beside.low : piece.high,
                    excess_volt: piece.excess_volt - beside.excess_volt)
        end

        def pieces
          @pieces ||= @case.current.filter_map do |reading|
            ends = [reading.probe.from, reading.probe.to].map { |node| @stops.index(node) }
            next if ends.any?(&:nil?) || !reading.probe.alike?(probe(*ends))

            Piece.new(low: ends.min, high: ends.max, excess_volt: excess(reading.probe) || 0.0)
          end
        end

        # The piece at either end that says most: the crank that each takes costs more than the way there. Of two that say the same, the one
        # that one is at already, then the one that is likelier to end the search.
        def best_cut(piece)
          cuts = ((piece.low + 1)...piece.high).flat_map { |stop| [[piece.low, stop], [stop, piece.high]] }
          cuts.max_by { |low, high| [bits(piece, low, high).round(6), -@case.minutes(probe(low, high)), high - low == 1 ? rates(low, high) : 0.0] }
        end

        def bits(piece, low, high) = Numerics::Entropy.bits(rates(low, high) / rates(piece.low, piece.high))
        def rates(low, high) = @units[low...high].sum { |unit| @case.machine.repair_units.rate(unit) }
      end
    end
  end
end
