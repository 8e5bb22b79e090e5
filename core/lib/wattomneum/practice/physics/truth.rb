# frozen_string_literal: true

module Wattomneum
  module Practice
    module Physics
      # A hidden circuit, read as any other, that behaves as Physics has it.
      class Truth < Practice::Truth
        # @param bolted [Bolted] with what ails it
        # @param sound [Bolted] the same with nothing wrong
        # @param drains [Array<Array(String, String, Float)>] what nobody drew: node, node, ohm
        # @param rest [Hash] as of any other
        def initialize(bolted:, sound:, drains: [], **rest)
          @bolted = bolted
          @sound_bolted = sound
          @blown = []
          @drains = drains
          random = Random.new(rest.fetch(:seed) + 77)
          relays = rest.fetch(:sheet).parts.grep(Circuits::Parts::Relay)
          @pull = relays.to_h { |relay| [relay.id, 1 + (Settled::PULL_SPREAD * ((2 * random.rand) - 1))] }
          super(**rest)
        end

        # @return [Array<String>] fuses that have gone
        attr_reader :blown

        # A fuse that was put in anew is whole until the next time.
        def mend(items)
          @blown.reject! { |id| items.include?(id) }
          super
        end

        # @param state [String]
        # @return [Float] speed of the engine that is cranked, against a warm one
        def speed_now(state) = @bolted.motor.speed(@settled.fetch(state).current(motor_index))

        # @param state [String]
        # @return [Float] the same with nothing wrong
        def sound_speed(state) = @sound_bolted.motor.speed(@sound.fetch(state).current(motor_index))

        # @param state [String]
        # @return [Settled::Now] with nothing hung on
        def settled_in(state) = @settled.fetch(state)

        # @param state [String]
        # @return [Boolean] whether the alternator works on its own
        def excited?(state) = @settled.fetch(state).excited

        private

        def motor_index = @drawn.owned.index { |one| one.part&.id == @bolted.starter_id && one.ring_of.nil? }

        def settled(ohms, extra = [], sound: false)
          return Settled.new(@drawn, ohms: ohms, bolted: @sound_bolted, blown: [], extra: extra) if sound

          Settled.new(@drawn, ohms: ohms, bolted: @bolted, blown: @blown, pull: @pull,
                              extra: extra + @drains.map { |one, other, ohm| branch(one, other, ohm) })
        end

        def with(extra, opened)
          off = @drawn.owned.each_index.select { |index| comes_off?(@drawn.owned[index], opened) }
          lost = @ways.select { |part, _| part && opened.include?(part) }.map(&:last)
          (lost.empty? ? @settled : settled(@ohms, @ways.map(&:last) - lost)).with(extra, off)
        end

        def volts(from, to, state, opened)
          meter = [branch(from, to, METER_OHM)]
          now = with(meter, opened).fetch(state)
          shown = now.volt(@drawn.node(from)) - now.volt(@drawn.node(to))
          Meter.shown((shown * @gain) + (Meter.digit(shown) * noise), range_of: shown)
        end

        def speed(settled, _id, state)
          bolted = settled.equal?(@sound) ? @sound_bolted : @bolted
          bolted.motor.speed(settled.fetch(state).current(motor_index))
        end
      end
    end
  end
end
