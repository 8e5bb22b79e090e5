# frozen_string_literal: true

module Wattomneum
  module Cranking
    module Trace
      # What an instrument wrote of one start: volts at the posts, current, or both, in slices of even width. Leads that were the wrong way
      # round are turned and said; a figure that no such system has is asked about before anything is made of it.
      class Recording
        LEAST_ROWS = 50
        LONGEST_SECOND = 36_000
        # Rows whose steps tell how often the instrument sampled.
        STEPS_LOOKED_AT = 200
        # Of the nominal volts what a system has at rest or charging.
        SHARE_AT_REST = (0.62..1.35)
        # What a probe, a prefix or a heading may have made of it: millivolts, a probe that divides by ten or by a hundred.
        FACTORS = { 0.001 => 'millivolts', 10.0 => 'behind a probe that divides by ten', 100.0 => 'behind a probe that divides by a hundred' }.freeze
        private_constant :LEAST_ROWS, :LONGEST_SECOND, :STEPS_LOOKED_AT

        # @return [Array<String>] what was done to it, in sentences
        attr_reader :remarks
        # @return [Array<Float, nil>] mean of each slice, nil where nothing was written; nil for the whole where it was not recorded
        attr_reader :volts, :amperes
        attr_reader :rows

        # @param input [#gets] the trace as text
        # @param system [Units::ElectricalSystem]
        # @param factor [Float, nil] of the volts, where it was asked; nil where nobody was
        # @param most [Integer] slices kept
        # @raise [InvalidQuantityError] if it is no trace
        # @raise [OddScaleError] if its volts are none of such a system, with what they may have meant
        def initialize(input, system:, factor: nil, most: Bins::MOST)
          @system = system
          @remarks = []
          fill(Rows.new(input), most)
          @volts = scaled(@bins.volts, factor) if @columns.has?(:volt)
          @amperes = turned(@bins.amperes) if @columns.has?(:ampere)
          say_gap
        end

        # @return [Float] of a slice
        def width_second = @bins.width_second

        # @return [Integer] slices
        def size = @bins.size

        # @param index [Integer] of a slice
        # @return [Float] second from the first row
        def second(index) = @bins.second(index)

        # @return [Bins::Gap, nil] the longest stretch in which nothing was written
        def gap = @bins.longest_gap

        # @param count [Integer] stretches to draw, at most
        # @return [Array<Hash>] :second, :low, :high (V) and :ampere of each, nil where nothing was written
        def drawn(count)
          each = (size / count.to_f).ceil.clamp(1, size)
          (0...size).each_slice(each).map do |slices|
            low = slices.filter_map { |index| @volts && @volts[index] }
            flow = slices.filter_map { |index| @amperes && @amperes[index] }
            { second: @bins.second(slices.first).round(4), low: low.min&.round(3), high: low.max&.round(3),
              ampere: flow.empty? ? nil : (flow.sum / flow.size).round(1) }
          end
        end

        private

        def fill(source, most)
          @rows = 0
          waiting = []
          source.each do |*row|
            @rows += 1
            next put(row) if @bins

            waiting << row
            waiting = begin_with(waiting, most) if waiting.size == STEPS_LOOKED_AT
          end
          refuse("it has #{@rows} rows: a trace of a start has #{LEAST_ROWS} at least") if @rows < LEAST_ROWS
          begin_with(waiting, most) unless @bins
          @columns = source.columns
        end

        def begin_with(rows, most)
          steps = rows.each_cons(2).map { |one, two| two.first - one.first }.sort
          @bins = Bins.new(width_second: steps[steps.size / 2], most: most)
          rows.each { |row| put(row) }
          []
        end

        def put((second, volt, ampere))
          @bins.add(second, volt, ampere)
          return if second - @bins.first_second < LONGEST_SECOND

          refuse("it runs for more than #{LONGEST_SECOND / 3600} hours: is its time in milliseconds? Say so in the heading, time (ms)")
        end

        def scaled(volts, factor)
          top = upper(volts.compact.map(&:abs))
          volts = volts.map { |volt| volt && (volt * factor) } if factor
          ask(top) if factor.nil? && !fits?(top)
          negative = volts.compact.count(&:negative?) > volts.compact.size / 2
          return volts unless negative

          @remarks << 'The leads were the wrong way round: turned'
          volts.map { |volt| volt && -volt }
        end

        def fits?(volt) = SHARE_AT_REST.cover?(volt / @system.system_volt.to_f)

        # What it is at rest, and charging: nearly the highest of it.
        def upper(values)
          refuse('its volts are all empty') if values.empty?
          values.sort[(values.size * 0.95).floor.clamp(0, values.size - 1)]
        end

        def ask(top)
          meant = FACTORS.select { |factor, _| fits?(top * factor) }
          raise OddScaleError.new(top, meant, @system)
        end

        # A clamp has an arrow: most of what flows in a start flows out of the bank.
        def turned(amperes)
          largest = amperes.compact.max_by(&:abs) || 0.0
          return amperes unless largest.negative?

          @remarks << 'The clamp was the wrong way round: turned'
          amperes.map { |ampere| ampere && -ampere }
        end

        def say_gap
          return unless gap

          @remarks << "Nothing was written for #{Quantities::Figure.trim(gap.second, 2)} s from #{Quantities::Figure.trim(gap.from_second, 2)} s on"
        end

        def refuse(what)
          raise InvalidQuantityError.new("This trace cannot be used: #{what}", field: 'trace')
        end
      end
    end
  end
end
