# frozen_string_literal: true

module Wattomneum
  module Practice
    # What a unit's alternator does: the volts of its own circuit, with lamps and loads hung on as its tests hang them; what no circuit has,
    # a belt and a rating, by sums of its own.
    class ChargeSide
      SAG_UNDER_LOADS_RATIO = 0.008
      # The lamp of an electrician: 21 W.
      LAMP_WATT = 21.0
      # Share of its rating that it gives with the loads of a unit on.
      OUTPUT_SHARE = 0.55
      # What a sound alternator gives of its rating when it is pulled for all it has.
      FULL_SHARE = 0.97
      LOST_WHILE_DEAD_VOLT = 0.15
      SLIPS_RISE_VOLT = 0.7
      SLIPS_LOADED_RISE_VOLT = 0.1
      # A regulator that senses nothing goes no farther than this over its setpoint.
      MOST_OVER_VOLT = 3.0
      LAMP_LIT_VOLT = 4.0
      RUNNING = 'running'
      private_constant :RUNNING

      # @param wiring [Wiring]
      # @param system [Units::ElectricalSystem]
      def initialize(wiring, system)
        @wiring = wiring
        @system = system
      end

      # @return [Boolean]
      def charges? = @charges ||= volt('positive_post') - rest_volt > 0.2 * factor

      # @param loaded [Boolean]
      # @return [Float] volts at the posts, running
      def posts_volt(loaded: false)
        return rest_volt - (LOST_WHILE_DEAD_VOLT * factor) unless charges?
        return rest_volt + (factor * (loaded ? SLIPS_LOADED_RISE_VOLT : SLIPS_RISE_VOLT)) if slips?

        (volt('positive_post') + over_volt) * (loaded ? 1 - SAG_UNDER_LOADS_RATIO : 1)
      end

      # @param place [String] terminal that a lamp is hung on, its plug off
      # @param state [String] of a test of the catalogue
      # @return [Float] volts across that lamp
      def feed_volt(place, state)
        terminal = @wiring.node(place)
        volt_under_lamp(terminal, @wiring.node('negative_post'), terminal, Circuits::Situations.of_test(state).sheet_state)
      end

      # @param from [String] node
      # @param to [String] node
      # @param terminal [String] node that the lamp hangs on
      # @param state [String] key state of the sheet
      # @return [Float] volts
      def volt_under_lamp(from, to, terminal, state)
        lamp = lamp_on(terminal)
        off = terminal == @wiring.node('alternator_output') ? [] : [@wiring.alternator]
        @wiring.truth.volt_between(from, to, state: state, loads: [lamp, *@wiring.loads_on(state)], opened: off)
      end

      # @param from [String] key of a place
      # @param to [String]
      # @return [Float] volts at the output current, or under a pile from its output to its case where it gives none
      def drop_volt(from, to) = drop_between(@wiring.node(from), @wiring.node(to))

      # @param from [String] node
      # @param to [String] node
      # @return [Float]
      def drop_between(from, to) = @wiring.truth.volt_between(from, to, state: state, loads: [load])

      # @return [Float] ampere in its output meanwhile, as a clamp on it shows
      def output_ampere
        charges? ? @wiring.truth.ampere_in("#{@wiring.alternator} output", state: state, loads: [load]) : load_ampere
      end

      # @return [Float] ampere it gives with a pile on
      def most_ampere = charges? && !slips? ? FULL_SHARE * (@system.alternator_rating_ampere || 80.0) : 0.0

      # @return [Float] volts peak to peak
      def ripple_volt = @wiring.so?('alternator', 'dead') ? 0.02 : 0.12 * factor

      # @return [String] lit, dark or no_lamp
      def lamp_key_on = lamp('key_on')

      # @return [String]
      def lamp_running = lamp(RUNNING)

      # @return [String] lit or dark with the alternator unplugged
      def lamp_apart = lamp('key_on', opened: [@wiring.alternator])

      # @param place [String] terminal whose wire hangs free
      # @param state [String] of a test of the catalogue
      # @return [String] yes or no: whether the charge lamp goes on as a lamp is hung on that wire
      def lamp_goes_on(place, state)
        lit = lamp(Circuits::Situations.of_test(state).sheet_state, opened: [@wiring.alternator], loads: [lamp_on(@wiring.node(place))])
        lit == 'lit' ? 'yes' : 'no'
      end

      # @return [String] clean or loose
      def belt = slips? ? 'loose' : 'clean'

      private

      # The loads of a unit across its posts, or a pile from the output to the case where it gives nothing.
      def load
        ends = charges? ? %w[positive_post negative_post] : %w[alternator_output alternator_case]
        [*ends.map { |place| @wiring.node(place) }, @system.system_volt / load_ampere]
      end

      def load_ampere = OUTPUT_SHARE * (@system.alternator_rating_ampere || 80.0)
      def state = charges? ? RUNNING : 'isolator_on'

      def factor = @system.system_volt / 12.0
      def slips? = @wiring.so?('belt', 'dead')
      def rest_volt = @wiring.volt('positive_post', 'negative_post', 'off')
      def volt(place) = @wiring.volt(place, 'negative_post', 'fast_idle')

      def lamp_on(terminal) = [terminal, @wiring.node('negative_post'), (@system.system_volt**2) / LAMP_WATT]

      def lamp(state, **rest)
        return 'no_lamp' unless @wiring.charge_lamp

        lamp = @wiring.sheet.part(@wiring.charge_lamp)
        @wiring.truth.ampere(lamp.id, state: state, **rest).abs >= LAMP_LIT_VOLT * factor / lamp.fields['ohm'] ? 'lit' : 'dark'
      end

      # It raises its volts until its sense terminal has what it should.
      def over_volt
        return 0.0 unless @wiring.place?('sense_terminal')

        seen = @wiring.volt('sense_terminal', 'alternator_case', 'fast_idle')
        (@wiring.sheet.part(@wiring.alternator).fields['volt'] - seen).clamp(0.0, MOST_OVER_VOLT * factor)
      end
    end
  end
end
