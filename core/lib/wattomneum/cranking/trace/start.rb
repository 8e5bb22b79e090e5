# frozen_string_literal: true

module Wattomneum
  module Cranking
    module Trace
      # The start within a recording: where the starter bites and lets go, what the posts fall to and settle at, what flows. The first one of
      # several; seconds count from the first row.
      class Start
        # The bite is over by then (ours).
        BITE_SECOND = 0.3
        # Apart from both ends of what counts as settled, so that neither is in it (ours).
        END_SECOND = 0.1
        SETTLED_LEAST_SECOND = 0.3
        # Volts or current that come back for less than this are the solenoid letting go, not the end (ours).
        LET_GO_SECOND = 0.3
        # A solenoid lets go for longer than this; what is shorter is ripple (ours).
        RIPPLE_SECOND = 0.02
        # Of nominal volts: less is no start but a lamp or a heater (ours).
        LEAST_DIP_SHARE = 0.06
        # An edge is no longer than this; a level is taken so far from it, and so soon after it (ours).
        EDGE_SECOND = 0.03
        AROUND_SECOND = 0.15
        SOON_SECOND = 0.6
        # Amperes at which no starter turns anything, of the usual cranking current (ours).
        LEAST_FLOW_SHARE = 0.1

        # @return [Float, nil] volts before the starter bites, heaters and all
        attr_reader :before_volt
        # @return [Float, nil] least volts and when
        attr_reader :lowest_volt, :lowest_second
        # @return [Float, nil] most amperes and when
        attr_reader :peak_ampere, :peak_second
        # @return [Float] seconds
        attr_reader :from_second, :to_second
        # @return [Float, nil] means while it cranks evenly; nil where it did not crank long enough
        attr_reader :settled_volt, :settled_ampere
        # @return [Range<Integer>, nil] slices in which it cranks evenly, without a gap
        attr_reader :settled
        # @return [Integer] times the solenoid let go and took again
        attr_reader :lets_go

        # @param recording [Recording]
        # @param system [Units::ElectricalSystem]
        # @raise [InvalidQuantityError] if nothing in it is a start
        def initialize(recording, system:)
          @recording = recording
          @system = system
          find
          measure_extremes
          settle
          freeze
        end

        # @return [Float] seconds it was cranked
        def second = to_second - from_second

        # @return [Boolean] whether it still cranked as the trace began, or as it ended
        def cut_off? = @cut_off

        # Formula: R = (V before - V settled) / I; of the bank with its posts.
        #
        # @return [Float, nil] ohm; nil where volts and current are not both there
        def bank_ohm
          return unless before_volt && settled_volt && settled_ampere&.positive?

          (before_volt - settled_volt) / settled_ampere
        end

        private

        attr_reader :recording

        def width = recording.width_second
        def slices(second) = [(second / width).round, 1].max

        def find
          called = @recording.amperes ? flowing : dipping
          from = called.index(true) or refuse('nothing in it falls or flows as a start does')
          to = last_of(called, from)
          @lets_go = gone_and_back(called, from, to)
          @from = from
          @to = to
          @cut_off = from.zero? || to >= recording.size - 1
          @from_second = recording.second(from) - (width / 2)
          @to_second = recording.second(to) + (width / 2)
        end

        def flowing
          most = recording.amperes.compact.max
          least = LEAST_FLOW_SHARE * @system.usual_cranking_current_ampere
          refuse("no more than #{Quantities::Figure.ampere(most)} flows in it: is it the cable to the starter?") if most < least

          recording.amperes.map { |ampere| ampere && ampere > [0.15 * most, least / 2].max }
        end

        # The volts fall at once as the starter bites: half of what they then stay down by is called, whatever a heater took before.
        def dipping
          volts = recording.volts
          fall, at = steepest(volts) { |before, after| before - after }
          return rising if fall < LEAST_DIP_SHARE * @system.system_volt

          before = level(volts, at - slices(AROUND_SECOND), at - 1)
          called(before || volts[at], level(volts, at + slices(AROUND_SECOND), at + slices(SOON_SECOND)))
        end

        # It cranked already as the trace began: what comes back at its end shows that.
        def rising
          volts = recording.volts
          rise, at = steepest(volts) { |before, after| after - before }
          refuse('its volts do not fall as in a start') if rise < LEAST_DIP_SHARE * @system.system_volt

          called(level(volts, at + slices(EDGE_SECOND), at + slices(SOON_SECOND)), level(volts, 0, at))
        end

        # The first edge that is half as high as the highest.
        def steepest(volts)
          apart = slices(EDGE_SECOND)
          edges = volts.each_with_index.map { |volt, index| (later = volts[index + apart]) && volt ? yield(volt, later) : 0.0 }
          highest = edges.max
          [highest, edges.index { |edge| edge >= highest / 2 }]
        end

        def called(up_volt, down_volt)
          refuse('its volts do not stay down as in a start') if up_volt.nil? || down_volt.nil?

          threshold = (up_volt + down_volt) / 2
          recording.volts.map { |volt| volt && volt < threshold }
        end

        def level(volts, from, to)
          there = volts[[from, 0].max..[to, 0].max].to_a.compact
          Numerics::Median.of(there) if there.any?
        end

        # The last slice that is called before it stays away.
        def last_of(called, from)
          last = from
          (from...called.size).each do |index|
            last = index if called[index]
            break if index - last > slices(LET_GO_SECOND)
          end
          last
        end

        def gone_and_back(called, from, to)
          called[from..to].chunk_while { |one, two| one == two }.count { |run| run.first == false && run.size >= slices(RIPPLE_SECOND) }
        end

        def measure_extremes
          volts = recording.volts
          if volts
            @before_volt = Numerics::Median.of(volts[[@from - slices(0.15), 0].max...[@from - slices(0.01), 0].max].compact) if @from > slices(0.05)
            least = (@from..@to).select { |index| volts[index] }.min_by { |index| volts[index] }
            @lowest_volt = volts[least]
            @lowest_second = recording.second(least)
          end
          flows = recording.amperes or return
          most = (@from..@to).select { |index| flows[index] }.max_by { |index| flows[index] }
          @peak_ampere = flows[most]
          @peak_second = recording.second(most)
        end

        # The longest stretch without a gap after the bite; of one that comes and goes nothing settles.
        def settle
          first = @from + slices(@from.zero? ? END_SECOND : BITE_SECOND)
          last = @to - slices(END_SECOND)
          return if @lets_go.positive? || last <= first

          there = (first..last).chunk_while { |one, two| written?(one) == written?(two) }.select { |run| written?(run.first) }.max_by(&:size)
          return if there.nil? || there.size * width < SETTLED_LEAST_SECOND

          @settled = there.first..there.last
          @settled_volt = mean(recording.volts)
          @settled_ampere = mean(recording.amperes)
        end

        def written?(index) = !(recording.volts || recording.amperes)[index].nil?

        def mean(values)
          values && (values[@settled].compact.sum / @settled.size)
        end

        def refuse(what)
          raise InvalidQuantityError.new("There is no start in this trace: #{what}", field: 'trace')
        end
      end
    end
  end
end
