# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # The next reading by belief over what was read. It only chooses what to read: what is convicted and what is proved is for the judges.
      # Where no reading tells enough, the order of work goes on.
      class ByBelief
        MOST_OUTCOMES = 3
        LEAST_SPOKEN_VOLT = 0.05
        MISFIT = 'Nothing on its circuit explains all readings together: one was misread, there are two faults, or it comes and goes. ' \
                 'This one fits least'
        private_constant :MOST_OUTCOMES, :LEAST_SPOKEN_VOLT, :MISFIT

        # @param kase [Case]
        # @param order [Order] makes the steps
        # @param suspicion [Suspicion] of this complaint
        def initialize(kase, order, suspicion)
          @case = kase
          @order = order
          @suspicion = suspicion
        end

        # @return [Step, nil]
        def call
          again || chosen&.then { |one| Step.new(**@order.measure(probe(one), why: why).to_h, outcomes: outcomes(probe(one))) }
        end

        private

        # Once: what shows the same twice stays as it is.
        def again
          odd = @suspicion.misfit
          return if odd.nil? || @case.times(odd.probe) > 1

          @order.measure(odd.probe, kind: 'repeat', why: MISFIT, title: "Once more: #{Words.probe(odd.probe, @case.machine)}")
        end

        def chosen
          Suspects::NextReading.new(@suspicion.belief, @suspicion.table.predictions, open, convicts: method(:convicts?)).best
        end

        def open
          @suspicion.table.candidates.all.filter_map do |one|
            taken = probe(one)
            one.with_minutes(@case.minutes(taken)) if @case.reading(taken).nil? && called?(one)
          end
        end

        # Straight across what a coil closes only when that coil is known to have its volts.
        def called?(candidate) = candidate.needs.all? { |need| @case.served?(need) }

        def probe(one) = Readings::Probe.new(by: 'volts', from: one.from, to: one.to, situation: @case.symptom.situation)

        # About what one contact may drop: how much proves is for its judge.
        def convicts?(volt)
          volt.abs > @case.circumstances.limits.fetch('drop.contact', system_volt: @case.machine.sheet.system_volt).value
        end

        # -- in words

        def why = @suspicion.strong ? "Strong suspect: #{@suspicion.strong.label}" : 'It tells most for its minutes'

        # The suspects by what would be shown with them, the likeliest outcomes; what one meter would not tell apart is one.
        def outcomes(probe)
          suspects = @suspicion.suspects
          groups = suspects.keys.group_by { |unit| outcome_of(unit, probe) }.values
          groups = groups.max_by(MOST_OUTCOMES) { |units| units.sum { |unit| suspects.fetch(unit) } }
          groups.map { |units| ["About #{spoken(units.first, probe)}", Words.any_of(units)] }
        end

        # The steps of the scale are coarser than what a meter shows.
        def outcome_of(unit, probe)
          volt_with(unit, probe).zero? ? 0 : (@suspicion.scaled_with(unit, probe) / Suspects::NextReading::BIN).round
        end

        def spoken(unit, probe) = "#{Quantities::Figure.trim(volt_with(unit, probe), 1)} V"

        # In as many figures as one would say.
        def volt_with(unit, probe) = @suspicion.volt_with(unit, probe).then { |volt| volt.abs < LEAST_SPOKEN_VOLT ? 0.0 : volt.round(1) }
      end
    end
  end
end
