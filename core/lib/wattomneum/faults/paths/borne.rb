# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # One reading may be misread, or written down wrongly: nothing is mended for it alone. It is borne out by all that was read before, by the
      # volts on either side, or by being read twice.
      class Borne
        # Volts on either side agree with the drop between them within this share of it.
        AGREES_RATIO = 0.25
        AGREES_VOLT = 0.05
        WHY = 'One reading alone mends nothing: all that was read before points elsewhere, or nothing stands beside it. Read it once more'
        private_constant :AGREES_RATIO, :AGREES_VOLT, :WHY

        # @param kase [Case]
        # @param order [Order] makes the steps
        def initialize(kase, order)
          @case = kase
          @order = order
        end

        # @param unit [Circuits::RepairUnit] that it convicts
        # @param reading [Readings::PointReading]
        # @return [Step, nil] nil where it is borne out
        def out(unit, reading)
          return if @case.part.nil? || @case.magneto? || reading.probe.by != 'volts' || twice?(reading) || beside?(reading) ||
                    @case.suspicion&.borne_out?(unit, reading)

          @order.measure(reading.probe, kind: 'repeat', why: WHY, title: "Once more: #{Words.probe(reading.probe, @case.machine)}")
        end

        private

        def twice?(reading) = @case.times(reading.probe) > 1

        def beside?(reading)
          return false if reading.probe.to == @case.circumstances.negative_post

          one, other = [reading.probe.from, reading.probe.to].map { |node| volt_at(node, reading.probe.situation) }
          one && other && ((one - other).abs - reading.value.abs).abs <= [AGREES_RATIO * reading.value.abs, AGREES_VOLT].max
        end

        # Against the negative post.
        def volt_at(node, situation)
          post = @case.circumstances.negative_post
          return 0.0 if node == post

          read = @case.reading(Readings::Probe.new(by: 'volts', from: node, to: post, situation: situation))
          read&.value && (read.probe.from == node ? read.value : -read.value)
        end
      end
    end
  end
end
