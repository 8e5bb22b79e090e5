# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # The next reading by belief over what was read, where the table of what each fault would show is worked out. It only chooses what to
      # read: what is convicted and what is proved is for the judges. Where no reading tells enough, the order of work goes on.
      class ByBelief
        # What is said of a part as likely as this; less than the second is not spoken of.
        STRONG = 0.6
        SPOKEN = 0.02
        MOST_NAMED = 2
        MOST_OUTCOMES = 3
        # Of a part that was mended already in this job.
        MENDED_SHARE = 0.1
        private_constant :STRONG, :SPOKEN, :MOST_NAMED, :MOST_OUTCOMES, :MENDED_SHARE

        # @param kase [Case]
        # @param order [Order] makes the steps
        # @param table [Suspects::Table] of this complaint
        def initialize(kase, order, table)
          @case = kase
          @order = order
          @table = table
          @predictions = table.predictions
        end

        # @return [Step, nil]
        def call
          chosen = Suspects::NextReading.new(belief, @predictions, open, convicts: method(:convicts?)).best
          chosen && Step.new(**@order.measure(probe(chosen), why: why).to_h, outcomes: outcomes(chosen))
        end

        # @return [Hash{Circuits::RepairUnit => Float}] how likely each part is at fault now; nil for nothing wrong
        def suspects = @suspects ||= belief.by_unit

        private

        def belief = @belief ||= read.reduce(silent(untouched)) { |belief, reading| after(belief, reading) }

        # A start that was tried and stayed silent: its solenoid was seen to be dead.
        def silent(belief)
          cranked = @case.circumstances.tests.latest('cranking_behaviour')
          return belief unless @case.symptom.work == 'starting' && cranked&.round == @case.round && cranked.observation == 'silent'

          belief.seen(@table.scope.consumers.first, 'dead')
        end

        def untouched = Suspects::Belief.new(@predictions, lighter: mended.to_h { |key| [key, MENDED_SHARE] })
        def mended = @case.repairs.filter_map(&:unit)

        # Of this round and this state, between points that the table knows, nothing unplugged. Volts that prove nothing of a part because its
        # current did not flow are no less what the meter showed: every suspect predicts them with the current that it leaves.
        def read
          @case.current.select do |one|
            probe = one.probe
            probe.situation == @case.symptom.situation && probe.opened.empty? && [probe.from, probe.to].all? { |node| @table.node?(node) }
          end
        end

        def after(belief, reading)
          return seen(belief, reading) if reading.probe.by == 'seen'
          return belief unless reading.probe.by == 'volts' && reading.value

          belief.shown(reading.probe.from, reading.probe.to, reading.value, posts_volt: @case.circumstances.posts_volt(reading))
        end

        def seen(belief, reading)
          consumer = @table.scope.consumers.find { |one| one.from == reading.probe.from }
          consumer ? belief.seen(consumer, reading.observation) : belief
        end

        def open
          @table.candidates.all.filter_map do |one|
            taken = probe(one)
            one.with_minutes(@case.minutes(taken)) if @case.reading(taken).nil? && called?(one)
          end
        end

        # Straight across what a coil closes only when that coil is known to have its volts.
        def called?(candidate)
          candidate.needs.all? { |need| SERVED.include?(@case.judgement(Probes.across(need, @case.symptom.situation))&.code) }
        end

        SERVED = %w[load.has_volts load.dead_with_volts].freeze
        private_constant :SERVED

        def probe(one) = Readings::Probe.new(by: 'volts', from: one.from, to: one.to, situation: @case.symptom.situation)

        # About what one contact may drop: how much proves is for its judge.
        def convicts?(volt)
          volt.abs > @case.circumstances.limits.fetch('drop.contact', system_volt: @case.machine.sheet.system_volt).value
        end

        # -- in words

        def suspected = @suspected ||= suspects.reject { |unit, share| unit.nil? || share < SPOKEN }

        def why
          return 'It tells most for its minutes' if suspected.empty? || suspected.first.last < STRONG

          "Strong suspect: #{suspected.first.first.label}"
        end

        # The suspects by what would be shown with them, the likeliest outcomes; what one meter would not tell apart is one.
        def outcomes(chosen)
          groups = suspected.keys.group_by { |unit| outcome_of(scaled_with(likeliest(unit), chosen)) }.values
          groups = groups.max_by(MOST_OUTCOMES) { |units| units.sum { |unit| suspects.fetch(unit) } }
          groups.map { |units| ["About #{spoken(likeliest(units.first), chosen)}", named(units)] }
        end

        def outcome_of(scaled) = volt_of(scaled).zero? ? 0 : (scaled / Suspects::NextReading::BIN).round

        # The steps of the scale are coarser than what a meter shows.
        def spoken(index, chosen) = "#{Quantities::Figure.trim(volt_of(scaled_with(index, chosen), share_of_posts_now(index)), 1)} V"

        # In as many figures as one would say.
        def volt_of(scaled, share = 1.0)
          volt = Suspects::Predictions.volts(scaled) * share
          volt.abs < LEAST_SPOKEN_VOLT ? 0.0 : volt.round(1)
        end

        def share_of_posts_now(index)
          posts = @case.circumstances.posts_in(@case.symptom.situation, @case.round)
          posts ? 1 / belief.share_of_posts(index, posts) : 1.0
        end

        LEAST_SPOKEN_VOLT = 0.05
        private_constant :LEAST_SPOKEN_VOLT

        def named(units)
          more = units.size - MOST_NAMED
          *others, last = [*units.first(MOST_NAMED).map { |unit| short(unit) }, *("#{more} more" if more.positive?)]
          [*(others.join(', ') if others.any?), last].join(' or ')
        end

        # "ring of wire 5 on G2" says where it is; of a component its name does: "pre-fuse cab (F2)".
        def short(unit)
          key, name = unit.label.split(', ', 2)
          return Wording.inside(key) if name.nil? || key.include?(' ')

          "#{Wording.inside(name)} (#{key})"
        end

        def scaled_with(index, chosen) = belief.expected(@predictions.between(chosen.from, chosen.to), index)

        # Of what can be wrong with a part, its hypothesis.
        def likeliest(unit)
          @likeliest ||= @table.hypotheses.each_index.group_by { |index| @table.hypotheses[index].unit }
                               .transform_values { |indices| indices.max_by { |index| shares[index] } }
          @likeliest.fetch(unit)
        end

        def shares = @shares ||= belief.probabilities
      end
    end
  end
end
