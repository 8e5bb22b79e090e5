# frozen_string_literal: true

module Wattomneum
  module Cranking
    module Trace
      # A start held against the last sound one of the same unit: what changed, before any limit is crossed.
      class Comparison
        # From how much a change is worth a line (ours): of posts as a share of the system's volts, of the others in percent.
        POSTS_SHARE = 0.02
        PERCENT = 8.0
        # Apart by more than this the two are no like conditions (ours).
        ALIKE_CELSIUS = 8.0
        Line = Struct.new(:label, :now, :earlier, :words, keyword_init: true)
        private_constant :POSTS_SHARE, :PERCENT, :ALIKE_CELSIUS

        # @param now [Hash{Symbol => Float, nil}] figures of Review
        # @param before [Hash{Symbol => Float, nil}] the same of the last sound start
        # @param system [Units::ElectricalSystem]
        # @param celsius [Array(Float, Float)] of now and of before; either may be nil
        def initialize(now, before, system:, celsius: [nil, nil])
          @now = now
          @before = before
          @system = system
          @celsius = celsius
          freeze
        end

        # @return [Array<Line>] what both have
        def lines
          [line('Posts, settled', :settled_volt, :volt), line('Lowest posts', :lowest_volt, :volt),
           line('Current, settled', :settled_ampere, :ampere), line('Speed', :rpm, :rpm), line('Bank with its posts', :bank_ohm, :ohm)].compact
        end

        # @return [String, nil] why the two should be compared with care
        def caution
          now, before = @celsius
          return 'The temperature of one of the two was not said' if now.nil? || before.nil?

          apart = (now - before).abs
          return if apart <= ALIKE_CELSIUS

          "#{Quantities::Figure.celsius(now)} now, #{Quantities::Figure.celsius(before)} then: cold alone turns slower, takes more and falls lower"
        end

        private

        def line(label, name, figure)
          now = @now[name]
          before = @before[name]
          return if now.nil? || before.nil?

          say = ->(value) { Quantities::Figure.public_send(figure, value) }
          Line.new(label: label, now: say.call(now), earlier: say.call(before), words: changed(now, before, figure, say))
        end

        def changed(now, before, figure, say)
          apart = now - before
          least = figure == :volt ? POSTS_SHARE * @system.system_volt : PERCENT / 100.0 * before
          return 'as then' if apart.abs < least

          "#{say.call(apart.abs)} #{apart.positive? ? 'more' : 'less'}"
        end
      end
    end
  end
end
