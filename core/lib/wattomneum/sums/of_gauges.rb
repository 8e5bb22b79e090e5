# frozen_string_literal: true

module Wattomneum
  module Sums
    # Sums of tachometers, speed, senders, generator sets and pre-heat: each public method is one of core/data/sums.yml, its inputs as keywords. Where
    # there is one formula, its first line is that formula with the figures drawn in.
    module OfGauges
      # Of crank pulley to alternator pulley (handbook, from memory).
      USUAL_PULLEYS = (2.0..3.5)
      PULSES_A_KM = (4000.0..25_000.0)
      private_constant :USUAL_PULLEYS, :PULSES_A_KM

      # @return [Calculator::Answer]
      def w_terminal(pole_pairs:, crank_pulley:, alternator_pulley:, slip_percent:, rpm:)
        pulses = Gauges::Tachometer.w_terminal(pole_pairs: pole_pairs, crank_pulley: crank_pulley, alternator_pulley: alternator_pulley,
                                               slip_percent: slip_percent)
        answer("#{short(pulses)} pulses a turn",
               "#{short(pole_pairs)} x #{short(crank_pulley)} / #{short(alternator_pulley)} x (1 - #{short(slip_percent)} / 100) = #{short(pulses)}",
               *odd_pulleys(crank_pulley.fdiv(alternator_pulley)),
               "#{short(Gauges::Tachometer.hertz(pulses, rpm), 0)} Hz at #{rpm.round} rpm",
               'half-wave, about half the output volts to ground; nothing at stand-still or with a lost field')
      end

      # @return [Calculator::Answer]
      def pulses_a_turn(source:, count:, strokes:)
        pulses, worked = { 'ignition' => [lambda {
          Gauges::Tachometer.ignition(cylinders: count, strokes: strokes.to_i)
        }, "#{short(count)} x 2 / #{strokes}"],
                           'flywheel' => [-> { Gauges::Tachometer.teeth(teeth: count) }, "#{short(count)} x 1"],
                           'injection pump or cam' => [-> { Gauges::Tachometer.teeth(teeth: count, turns: 0.5) }, "#{short(count)} x 0.5"],
                           'control unit' => [-> { Gauges::Tachometer.teeth(teeth: count) }, "#{short(count)} x 1"] }.fetch(source)
        found = pulses.call
        answer("#{short(found)} pulses a turn", "#{worked} = #{short(found)}", "#{short(Gauges::Tachometer.hertz(found, 1000), 0)} Hz at 1000 rpm")
      end

      # @return [Calculator::Answer]
      def tachometer(source_pulses:, gauge_pulses:, rpm:)
        ratio = Gauges::Tachometer.shows_ratio(source_pulses: source_pulses, gauge_pulses: gauge_pulses)
        answer("shows #{(ratio * rpm).round} rpm at #{rpm.round}",
               "#{short(source_pulses)} / #{short(gauge_pulses)} = #{short(ratio, 3)}", off(ratio),
               *("a converter divides by #{short(ratio, 3)}; or set the gauge for #{short(source_pulses)} pulses" unless true?(ratio)))
      end

      # @return [Calculator::Answer]
      def road_speed(old_axle:, new_axle:, old_tyre:, new_tyre:, taken_at:)
        before, after = [old_tyre, new_tyre].map { |text| Gauges::Tyre.read(text) }
        ratio = Gauges::RoadSpeed.shows_ratio(old_axle: old_axle, new_axle: new_axle, old_circumference: before.rolling_m,
                                              new_circumference: after.rolling_m, at_wheel: taken_at == 'wheel')
        axles = "#{short(new_axle)} / #{short(old_axle)} x " unless taken_at == 'wheel'
        answer(off(ratio), "#{axles}#{short(before.rolling_m)} m / #{short(after.rolling_m)} m = #{short(ratio, 3)}",
               *[50, 80].map { |speed| "shows #{short(speed * ratio, 1)} at #{speed} km/h" }, 'a signal that feeds brakes is tapped, never cut')
      end

      # @return [Calculator::Answer]
      def pulses_a_km(teeth:, axle:, tyre:)
        around = Gauges::Tyre.read(tyre).rolling_m
        pulses = Gauges::RoadSpeed.pulses_a_km(teeth: teeth, axle: axle, circumference_m: around)
        odd = "usual are #{PULSES_A_KM.begin.round} to #{PULSES_A_KM.end.round}: look at teeth and axle once more" unless PULSES_A_KM.cover?(pulses)
        answer("#{pulses.round} pulses a km", "#{short(teeth)} x #{short(axle)} x 1000 / #{short(around, 3)} m = #{pulses.round}", *odd)
      end

      # @return [Calculator::Answer]
      def sender_on_gauge(sender:, gauge:)
        found = Gauges::Mismatch.new(Gauges::Curve.read(sender), Gauges::Curve.read(gauge))
        worst = found.worst
        together = worst.error.abs < found.span * Gauges::BenchCheck::READABLE_RATIO
        said = if together then answer('they belong together')
               else
                 answer("off by up to #{short(worst.error.abs, 1)}, at #{short(worst.true_mark, 1)}", resistor(found.resistor),
                        'keep the sender that belongs to the gauge, adapt its thread')
               end
        said.marks = found.marks
        said
      end

      # @return [Calculator::Answer]
      def gauge_check(gauge:, shown:)
        pairs = shown.split(/[;\n]/).map { |pair| pair.strip.split(/[\s:=]+/).map { |text| Quantities::Entry.number(text)&.to_f } }
        unless pairs.any? && pairs.all? { |pair| pair.size == 2 && pair.none?(&:nil?) }
          raise InvalidQuantityError.new('Ohms put in and what the needle showed, in pairs: "240 0; 103 50"', field: 'shown')
        end

        found = Gauges::BenchCheck.new(Gauges::Curve.read(gauge), pairs)
        answer(found.words, *found.points.map { |one| "#{short(one.ohm, 1)} ohm: shows #{short(one.shown, 1)}, should #{short(one.wanted, 1)}" })
      end

      # @return [Calculator::Answer]
      def needles(needles:)
        told = needles.split(/[;\n]/).map(&:strip).reject(&:empty?).to_h { |one| one.rpartition(/\s+/).values_at(0, 2) }
        found = Gauges::NeedlePattern.read(told)
        answer(found.points_to, found.next)
      end

      # @return [Calculator::Answer]
      def needle_off(gauge:, coil_ohm:, sender_ohm:, marked_volt:, actual_volt:, thread_ohm:)
        one = Gauges::Needles::Gauge.new(label: 'gauge', coil_ohm: coil_ohm, sender_ohm: sender_ohm, curve: Gauges::Curve.read(gauge),
                                         ground_ohm: thread_ohm)
        shown = Gauges::Needles.new(supply_volt: marked_volt, actual_volt: actual_volt, gauges: [one]).call.first
        answer("shows #{short(shown.shown, 1)}, should #{short(shown.true_mark, 1)}",
               "#{short(actual_volt)} / (#{short(coil_ohm)} + #{short(sender_ohm)} + #{short(thread_ohm)}) = #{Quantities::Figure.ampere(shown.ampere)}",
               'sealant and paint under a one-wire sender are ohms of its circuit: measure body to block')
      end

      # @return [Calculator::Answer]
      def thermistor(r25_ohm:, b_kelvin:, celsius:)
        ohm = Gauges::Curve.thermistor(r25_ohm: r25_ohm, b_kelvin: b_kelvin, celsius: [celsius, celsius + 1]).ohm(celsius)
        answer(Quantities::Figure.ohm(ohm),
               "#{short(r25_ohm)} x exp(#{short(b_kelvin)} x (1 / #{short(celsius + 273.15)} - 1 / 298.15)) = #{short(ohm, 0)}")
      end

      # @return [Calculator::Answer]
      def generator_frequency(poles:, rpm:)
        wanted = [50, 60].map { |hertz| "#{hertz} Hz at #{Gauges::GeneratorFrequency.rpm(poles: poles, hertz: hertz).round} rpm" }
        hertz = Gauges::GeneratorFrequency.hertz(poles: poles, rpm: rpm)
        answer("#{short(hertz, 1)} Hz", "#{short(poles)} x #{short(rpm)} / 120 = #{short(hertz, 1)}", *wanted,
               'the AC side belongs to a licensed electrician')
      end

      # @return [Calculator::Answer]
      def preheat_need(engine:, celsius:, timer_seconds:)
        key, row = Preheat::Need::ENGINES.find { |_, one| one['label'] == engine }
        wanted = Preheat::Need.seconds(key, celsius: celsius)
        words = "#{short(wanted.begin, 0)} to #{short(wanted.end, 0)} s at #{Quantities::Figure.celsius(celsius)}"
        return answer(words, "#{row['label']}, from the figures at -10 degC") if timer_seconds.nil?

        fit = { 'short' => 'too short: it starts badly and smokes', 'long' => 'too long: plugs and battery suffer', 'fits' => 'it fits' }
        answer(fit.fetch(Preheat::Need.fit(key, celsius: celsius, timer_seconds: timer_seconds)), words,
               'the timer belongs to the engine it came with: plugs, afterglow and temperature sensor too')
      end

      # @return [Calculator::Answer]
      def preheat_draw(plugs:, wiring:, plug_ampere:, ampere:)
        key, row = Preheat::Draw::WIRINGS.find { |_, one| one['label'] == wiring }
        draw = Preheat::Draw.new(plugs: plugs.round, wiring: key, plug_ampere: plug_ampere)
        open = draw.open(ampere)
        said = if open.nil? then 'fits no number of sound plugs: read it again after the same seconds, and each plug by itself'
               else open.zero? ? 'all plugs draw' : "#{open} of #{plugs.round} open"
               end
        answer(said, "all sound: #{Quantities::Figure.ampere(draw.whole_ampere)}", "an open one: #{row['open']}",
               'volts that sag during pre-heat are waited out: they are judged after it')
      end

      private

      def short(value, digits = 2) = Quantities::Figure.trim(value.to_f, digits)

      def resistor(best)
        if best
          "#{Quantities::Figure.ohm(best.ohm)} in #{best.kind} leaves up to #{short(best.worst,
                                                                                    1)}"
        else
          'no single resistor helps over the whole scale'
        end
      end

      # A pulley across and one around: pi times too much, or too little.
      def odd_pulleys(ratio)
        return [] if USUAL_PULLEYS.cover?(ratio)

        around = [ratio / Math::PI, ratio * Math::PI].find { |one| USUAL_PULLEYS.cover?(one) }
        ["a ratio of #{short(ratio)} is unusual (2 to 3.5)#{": was one of them measured around? Then it is #{short(around)}" if around}"]
      end

      def true?(ratio) = (ratio - 1).abs < 0.00005

      def off(ratio)
        return 'true' if true?(ratio)

        "#{short((ratio - 1).abs * 100, 1)} % #{ratio > 1 ? 'too much' : 'too little'}"
      end
    end
  end
end
