# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # How everything watched looks to somebody who walks around the machine, against the sound one: by how strongly it works. Of a thing:
        # works, weak, dead; runs where it should not; idle where it should be. Of a signal: right, low or high.
        class Looks
          # What draws at least this share of the most it ever draws is at work.
          AT_WORK_RATIO = 0.5
          BAD = %i[dead weak runs low high].freeze
          private_constant :AT_WORK_RATIO

          # @param circuit [Circuit]
          # @param sound [Array<Float>] strengths of the sound machine
          def initialize(circuit, sound)
            @circuit = circuit
            @states = circuit.sheet.states.size
            @sound = sound.each_slice(@states).to_a
            @due = circuit.watches.zip(@sound).map { |watch, strengths| watch.signal? ? [] : due(watch, strengths) }
          end

          # @param strengths [Array<Float>] of the machine with something wrong
          # @return [Array<Array<Symbol>>] of each watch in each key state
          def of(strengths)
            strengths.each_slice(@states).with_index.map do |now, at|
              now.each_with_index.map { |strength, state| look(at, state, strength) }
            end
          end

          # @param watch [Integer] index
          # @param looks [Array<Symbol>] in each key state
          # @return [Symbol] what is said of it by somebody who names no state: the worst of what it does
          def overall(watch, looks)
            return signal_overall(looks) if @circuit.watches[watch].signal?

            %i[runs dead weak].find { |word| looks.include?(word) } || :works
          end

          private

          def signal_overall(looks) = %i[low high].max_by { |word| looks.count(word) }.then { |word| looks.include?(word) ? word : :right }

          def due(watch, strengths)
            most = strengths.map(&:abs).max
            strengths.map { |strength| by_volts?(watch) ? watch.works_at?(strength) : most.positive? && strength.abs >= AT_WORK_RATIO * most }
          end

          # A control unit runs and a source gives, or not.
          def by_volts?(watch) = !%w[load relay].include?(watch.kind)

          def look(at, state, strength)
            watch = @circuit.watches[at]
            return moved(strength - @sound[at][state]) if watch.signal?

            @due[at][state] ? working(watch, strength, @sound[at][state]) : idle(watch, strength, @sound[at])
          end

          def working(watch, strength, sound)
            return watch.works_at?(strength) ? :works : :dead if by_volts?(watch)

            Seen.word(strength / sound).to_sym
          end

          def idle(watch, strength, sound)
            runs = by_volts?(watch) ? watch.works_at?(strength) : strength.abs >= AT_WORK_RATIO * sound.map(&:abs).max && strength.nonzero?
            runs ? :runs : :idle
          end

          def moved(volt)
            return :right if volt.abs <= Workings::MOVES_VOLT

            volt.negative? ? :low : :high
          end
        end
      end
    end
  end
end
