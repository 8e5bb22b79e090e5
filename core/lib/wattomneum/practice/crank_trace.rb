# frozen_string_literal: true

module Wattomneum
  module Practice
    # A start as an instrument would write it, from a bank, a starter and an engine of known speed and known cylinders: for practice, the
    # demo and for checks of what is read from traces. It knows nothing of how they are read.
    class CrankTrace
      # Of the mean current what one compression adds and takes (ours).
      HUMP_SHARE = 0.22
      # The bite: so many times the settled current, gone within so many seconds (ours).
      BITE_TIMES = 2.4
      BITE_SECOND = 0.06
      private_constant :HUMP_SHARE, :BITE_TIMES, :BITE_SECOND

      # @param rest_volt [Float] of the bank, before the key
      # @param bank_ohm [Float]
      # @param ampere [Float] mean while it cranks
      # @param rpm [Float] of the engine
      # @param cylinders [Integer]
      # @param strengths [Array<Float>, nil] of each cylinder's compression, 1.0 is sound
      # @param second [Float] cranked
      # @param before_second [Float] written before the key
      # @param after_volt [Float] once it runs
      # @param lets_go [Array<Float>] seconds after the key at which the solenoid lets go for a moment
      # @param noise_volt [Float]
      # @param seed [Integer]
      def initialize(rest_volt:, bank_ohm:, ampere:, rpm:, cylinders:, strengths: nil, second: 4.0, before_second: 1.0, after_volt: nil, lets_go: [],
                     noise_volt: 0.02, seed: 1)
        @rest_volt = rest_volt
        @bank_ohm = bank_ohm
        @ampere = ampere
        @turns_a_second = rpm / 60.0
        @strengths = strengths || ([1.0] * cylinders)
        @second = second
        @before_second = before_second
        @after_volt = after_volt || rest_volt
        @lets_go = lets_go
        @noise_volt = noise_volt
        @random = Random.new(seed)
      end

      # @param hertz [Float] rows a second
      # @return [Array<Array(Float, Float, Float)>] second, volts at the posts, ampere
      def rows(hertz: 1000.0)
        (0...((@before_second + @second + 1.0) * hertz).round).map do |row|
          second = row / hertz.to_f
          ampere = flow(second - @before_second)
          volt = ampere.zero? && second > @before_second + @second ? @after_volt : @rest_volt - (ampere * @bank_ohm)
          [second.round(6), (volt + noise).round(3), (ampere + (noise / @bank_ohm)).round(1)]
        end
      end

      # @param hertz [Float]
      # @return [String] the same as open text
      def csv(hertz: 1000.0) = "time (s),posts (V),current (A)\n#{rows(hertz: hertz).map { |row| row.join(',') }.join("\n")}\n"

      private

      def flow(since)
        return 0.0 if since.negative? || since > @second || @lets_go.any? { |gone| since.between?(gone, gone + 0.08) }

        (@ampere * (1 + (HUMP_SHARE * compression(since)))) + (BITE_TIMES * @ampere * Math.exp(-since / BITE_SECOND))
      end

      # A four-stroke compresses each cylinder once in two turns; a weak one pushes less.
      def compression(since)
        humps = since * @turns_a_second * @strengths.size / 2.0
        hump = @strengths[humps.floor % @strengths.size]
        (hump * (1 - Math.cos(2 * Math::PI * humps))) - 1
      end

      def noise = @noise_volt * (@random.rand - 0.5)
    end
  end
end
