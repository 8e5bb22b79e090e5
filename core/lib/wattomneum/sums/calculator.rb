# frozen_string_literal: true

module Wattomneum
  module Sums
    # Works a sum out: the answer as a figure with its unit, and the lines of the working.
    class Calculator
      include OfEngines
      include OfGauges

      # answer: "0.38 V"; lines: the working and what else follows; marks: of a curve that is drawn, nil for none
      Answer = Struct.new(:answer, :lines, :marks, keyword_init: true)
      Figure = Quantities::Figure
      private_constant :Figure

      # @param sheet [Sheet]
      # @param typed [Hash{String => String}]
      # @param limits [Limits::Table] what this fleet judges by
      # @return [Answer]
      # @raise [Error] where an input cannot be what it is said to be
      def self.call(sheet, typed, limits: Limits::Table.shipped)
        new(limits).public_send(sheet.key, **sheet.read(typed))
      rescue FloatDomainError, ZeroDivisionError, Math::DomainError
        raise InvalidQuantityError, 'these figures do not go together: the formula has no answer for them'
      end

      # @param limits [Limits::Table]
      def initialize(limits = Limits::Table.shipped)
        @limits = limits
      end

      # Each public method below is one sum of core/data/sums.yml, its inputs as keywords.

      # @return [Answer]
      def wire_drop(size:, length_m:, ampere:, celsius:)
        gauge = Wiring::Conductor.gauge_in(size)
        per_m = gauge ? Wiring::Conductor.awg_ohm_per_m(gauge: gauge) : metric(size)
        ohm = Wiring::Conductor.at_temperature(ohm_at_20: per_m * length_m, celsius: celsius)
        answer(Figure.volt(ohm * ampere), "#{Figure.trim(per_m * 1000, 3)} mohm/m at 20 degC",
               "#{Figure.ohm(ohm)} over #{Figure.trim(length_m, 2)} m at #{Figure.celsius(celsius)}")
      end

      # @return [Answer]
      def cable_size(ampere:, one_way_m:, most_drop_volt:, ambient_celsius:, bundled:, seconds:)
        result = Wiring::CableSizing.new(ampere: ampere, one_way_m: one_way_m, most_drop_volt: most_drop_volt, seconds: seconds,
                                         ambient_celsius: ambient_celsius, bundled: bundled.round).call
        following = result.next_mm2 && "next size #{mm2(result.next_mm2)}: #{Figure.volt(result.next_drop_volt)}"
        answer(result.section_mm2 ? mm2(result.section_mm2) : 'no size fits', *result.working, *following)
      end

      # @return [Answer]
      def fuse(load_ampere:, section_mm2:, ambient_celsius:, bundled:)
        carries = Wiring::Ampacity.continuous_ampere(section_mm2: section_mm2, ambient_celsius: ambient_celsius, bundled: bundled.round)
        result = Wiring::FuseSizing.call(load_ampere: load_ampere, wire_ampere: carries)
        answer(result.rating_ampere ? "#{Figure.trim(result.rating_ampere, 1)} A, #{result.colour}" : 'none fits', *result.working)
      end

      # @return [Answer]
      def fusible_link(gauge:)
        area = Wiring::Conductor.awg_section_mm2(gauge: gauge)
        answer("#{Wiring::FuseSizing.link_gauge(gauge: gauge)} AWG", "at most #{(Wiring::FuseSizing::LINK_MOST_M * 100).round} cm",
               "about #{Figure.trim(Wiring::FuseSizing.link_section_mm2(section_mm2: area), 2)} mm2 of #{Figure.trim(area, 2)} mm2")
      end

      # @return [Answer]
      def terminal(number:) = answer(Wiring::TerminalNumbers.meaning(number))

      # @return [Answer]
      def ghost_volts(supply_volt:, shown_volt:, meter_megohm:)
        ohm = Evidence::SeriesResistance.behind_meter(supply_volt: supply_volt, shown_volt: shown_volt, meter_ohm: meter_megohm * 1e6)
        answer(Figure.ohm(ohm), 'corrosion drifts: read it twice')
      end

      # @return [Answer]
      def load_reveals(supply_volt:, load_ampere:, noticed_percent:)
        ohm = Evidence::LoadAdequacy.smallest_revealed_ohm(supply_volt: supply_volt, load_ampere: load_ampere, noticed_share: noticed_percent / 100)
        answer(Figure.ohm(ohm), 'a smaller fault stays hidden from this load')
      end

      # @return [Answer]
      def ohmmeter(limit_volt:, working_ampere:, resolution_ohm:)
        failing, sees = Wiring::Resistances.ohmmeter_fit(limit_volt: limit_volt, working_ampere: working_ampere, resolution_ohm: resolution_ohm)
        answer(sees ? 'yes' : 'no: read the drop instead', "#{Figure.ohm(failing)} fails it",
               "five steps of the meter are #{Figure.ohm(5 * resolution_ohm)}")
      end

      # @return [Answer]
      def drop_to_milliohm(drop_volt:, ampere:)
        raise InvalidQuantityError.new('Current must be over 0 A', field: 'ampere') unless ampere.positive?

        answer(Figure.ohm(drop_volt / ampere))
      end

      # @return [Answer]
      def resistances(ohms:)
        answer("#{Figure.ohm(Wiring::Resistances.parallel(ohms))} in parallel", "#{Figure.ohm(Wiring::Resistances.series(ohms))} in series")
      end

      # @return [Answer]
      def lamp(volt:, watt:)
        hot, cold = Wiring::Resistances.lamp_ohm(volt: volt, watt: watt)
        answer("#{Figure.ohm(hot)} hot", "#{Figure.ohm(cold)} cold", "#{Figure.ampere(watt / volt)} at its volts")
      end

      # @return [Answer]
      def strands(load_ampere:, diameter_mm:)
        count = Wiring::Resistances.strands_exposed(load_ampere: load_ampere, diameter_mm: diameter_mm)
        answer("#{Figure.trim(count, 1)} strands or fewer",
               "one strand melts near #{Figure.ampere(Wiring::Resistances.strand_melts_ampere(diameter_mm: diameter_mm))}")
      end

      # @return [Answer]
      def rating(ampere:, standard:)
        given = Batteries::Rating.new(ampere: ampere, standard: standard)
        others = Batteries::Rating::STANDARDS.except(standard, 'SAE')
        answer("#{Figure.ampere(given.sae_ampere)} SAE", given.test_description,
               *others.map { |name, factor| "about #{Figure.ampere(given.sae_ampere / factor)} #{name}" })
      end

      # @return [Answer]
      def charge(rest_volt:, type:)
        percent = Batteries::StateOfCharge.from_rest_voltage(rest_volt: rest_volt, recombinant: type != 'flooded')
        freezes = Batteries::StateOfCharge.freezing_celsius(charge_percent: percent)
        answer(Figure.percent(percent), "freezes at about #{Figure.celsius(freezes.round)}")
      end

      # @return [Answer]
      def parasitic(charge_percent:, no_start_percent:, capacity_ampere_hour:, draw_milliampere:)
        days = Batteries::ParasiticDraw.days_to_no_start(charge_percent: charge_percent, no_start_percent: no_start_percent,
                                                         capacity_ampere_hour: capacity_ampere_hour, draw_ampere: draw_milliampere / 1000)
        most = %w[battery.draw_car_like battery.draw_truck].map { |id| @limits.fetch(id) }
        answer("#{Figure.trim(days, 1)} days", *most.map { |limit| "#{limit.source}: at most #{Figure.ampere(limit.value)}" })
      end

      # @return [Answer]
      def cold_crank(system:, low_celsius:, day_before_celsius:, charge_percent:, **read)
        test = crank_test(system.to_i / 12, **read)
        morning = Cranking::ColdCrank.at_dawn(test, low_celsius: low_celsius, day_before_celsius: day_before_celsius, charge_percent: charge_percent)
        answer(morning.turns? ? "#{Figure.volt(morning.posts_volt)} at the posts" : 'the engine does not turn',
               *cold_lines(morning))
      end

      # @return [Answer]
      def fuse_draw(drop_millivolt:, fuse_milliohm:)
        answer(Figure.ampere(Batteries::ParasiticDraw.through_fuse(drop_volt: drop_millivolt / 1000, fuse_ohm: fuse_milliohm / 1000)))
      end

      # @return [Answer]
      def start_energy(ampere:, seconds:, output_ampere:, loads_ampere:, acceptance_ampere:)
        hours = Charging::EnergyBudget.start_ampere_hour(current_ampere: ampere, seconds: seconds)
        minutes = Charging::EnergyBudget.minutes_to_return(ampere_hour: hours, output_ampere: output_ampere, loads_ampere: loads_ampere,
                                                           acceptance_ampere: acceptance_ampere)
        least = Charging::EnergyBudget.least_rating_ampere([{ ampere: loads_ampere, duty_ratio: 1.0 }])
        answer(minutes ? "#{Figure.trim(minutes, 1)} min to put back" : 'never: the loads take all there is', "#{Figure.trim(hours, 2)} Ah taken",
               "with 25 % in hand these loads want an alternator of #{Figure.ampere(least)}")
      end

      # @return [Answer]
      def duty(idle_percent:, start_seconds:, **day)
        budget = Charging::DutyBudget.new(**day, idle_share: idle_percent / 100, start_second: start_seconds)
        balance = budget.balance_ampere_hour
        answer("#{Figure.trim(balance.abs, 1)} Ah a day #{balance.negative? ? 'short' : 'in hand'}", *duty_lines(budget),
               "#{Figure.trim(budget.yearly_ampere_hour, 0)} Ah in a year of 250 working days",
               "with 25 % in hand these loads want an alternator of #{Figure.ampere(budget.least_rating_ampere)}")
      end

      # @return [Answer]
      def retrofit(from_ampere:, to_ampere:)
        raise InvalidQuantityError.new('a rating is over 0 A', field: 'from_ampere') unless from_ampere.positive?

        found = Charging::Retrofit.new(from_ampere: from_ampere, to_ampere: to_ampere)
        answer("#{found.drop_percent.round} % more drop", "#{found.heat_percent.round} % more heat", *Charging::Retrofit::CHECKS)
      end

      # @return [Answer]
      def regulated(celsius:, system:)
        volt = system.to_i
        electrical = Units::ElectricalSystem.new(system_volt: volt, arrangement: volt == 24 ? 'series' : 'single', battery_count: volt / 12,
                                                 usual_cranking_current_ampere: 1.0)
        band = Charging::Regulation.new(electrical, temperature_celsius: celsius, limits: @limits)
        answer("#{Figure.volt(band.low_volt)} to #{Figure.volt(band.high_volt)}", "overcharging over #{Figure.volt(band.over_volt)}")
      end

      # @return [Answer]
      def full_field(field_circuit:, internal_regulator:)
        answer(Charging::OutputTest.full_field_jumper(field_circuit: field_circuit, internal_regulator: internal_regulator),
               'output then means: alternator good, regulator or its wiring bad')
      end

      private

      def duty_lines(budget)
        { driving: 'at speed', idling: 'idling' }.map do |name, words|
          left = budget.public_send(:"#{name}_ampere_hour")
          "#{Figure.trim(left.abs, 1)} Ah #{left.negative? ? 'taken' : 'left'} #{words}"
        end + ["#{Figure.trim(budget.starts_ampere_hour, 1)} Ah for its starts, with what is lost on the way"]
      end

      def answer(figure, *lines) = Answer.new(answer: figure, lines: lines)

      def crank_test(series, test_celsius:, **read)
        Cranking::CrankTest.new(celsius: test_celsius, batteries_in_series: series, **read)
      end

      def cold_lines(morning)
        standing = morning.turns? ? [] : ["#{Figure.volt(morning.posts_volt)} at the posts: warm engine and batteries, and do not hold the key"]
        figures = [morning.speed_rpm && "#{morning.speed_rpm.round} rpm", morning.ampere && Figure.ampere(morning.ampere)].compact
        ["#{Figure.percent(morning.speed_ratio * 100)} of its speed, #{Figure.percent(morning.current_ratio * 100)} of its current",
         *([figures.join(', ')] if figures.any?),
         "#{Figure.volt(morning.starter_volt)} at the starter, #{Figure.volt(morning.open_volt)} at rest",
         *standing, *(morning.may_freeze? ? Safety::Cautions.fetch_all(%w[frozen_battery]).map(&:text) : [])]
      end

      def mm2(size) = "#{Figure.trim(size, 2)} mm2"

      def metric(size)
        section = Quantities::Entry.number(Quantities::Typed.plain(size).delete_suffix('mm2').strip)
        raise InvalidQuantityError.new("Size: \"#{size[0, 30]}\" is neither mm2 nor a gauge as in 10 AWG", field: 'size') if section.nil?

        Wiring::Conductor.metric_ohm_per_m(section_mm2: section)
      end
    end
  end
end
