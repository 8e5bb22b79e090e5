# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # How likely each part of a complaint's circuit is at fault after what was read of it in this round, where the table of what each fault
      # would show is worked out. In words: a figure would claim more than simulation bears out. Nothing is proved by it.
      class Suspicion
        # From this share on it is called so; what is less likely than the last is not spoken of.
        WORDS = { 'strong suspect' => 0.6, 'suspected' => 0.1, 'open' => 0.02 }.freeze
        # Of a part that was mended already in this job.
        MENDED_SHARE = 0.1
        # The best explanation misfits from here, by readings (a start from a study; our simulation gives under 2 % false alarms).
        MISFIT_AT = 9.0
        MISFIT_EACH = 1.5
        # From this share on all else that was read says the same (a start from a study).
        BORNE_OUT_SHARE = 0.5
        private_constant :WORDS, :BORNE_OUT_SHARE, :MENDED_SHARE, :MISFIT_AT, :MISFIT_EACH

        # @param kase [Case]
        # @param table [Suspects::Table] of this complaint
        def initialize(kase, table)
          @case = kase
          @table = table
        end

        # @return [Suspects::Table]
        attr_reader :table

        # @return [Suspects::Belief] after every reading that counts
        def belief
          @belief ||= silent(untouched).tap do |belief|
            @left = read.map { |reading| [reading, spoken_of(after(belief, reading)).keys] }
          end
        end

        # @param unit [Circuits::RepairUnit]
        # @param reading [Readings::PointReading] straight across it
        # @return [Boolean] whether all but this reading point at this part too, and this one shows what they let expect
        def borne_out?(unit, reading)
          others = silent(untouched).tap { |belief| read.each { |one| after(belief, one) unless one.id == reading.id } }
          return false if others.by_unit.fetch(unit, 0.0) < BORNE_OUT_SHARE
          return true unless [reading.probe.from, reading.probe.to].all? { |node| table.node?(node) }

          others.surprise(*as_read(reading), **beside(reading), unit: unit) < MISFIT_AT
        end

        # @return [Array<Array(Readings::PointReading, Array<Circuits::RepairUnit>)>] each reading that counts, and which parts it left
        def left = belief && @left

        # @return [Hash{Circuits::RepairUnit => Float}] parts worth speaking of, the likeliest first
        def suspects = @suspects ||= spoken_of(belief)

        # @param unit [Circuits::RepairUnit]
        # @return [String] strong suspect, suspected or open
        def word(unit) = WORDS.find { |_, least| suspects.fetch(unit) >= least }.first

        # @return [Circuits::RepairUnit, nil] the only strong suspect
        def strong = suspects.first&.then { |unit, share| unit if share >= WORDS['strong suspect'] }

        # @param unit [Circuits::RepairUnit]
        # @return [String, nil] what of the unit's past speaks for it
        def past(unit) = @case.priors.words(unit)

        # @param unit [Circuits::RepairUnit]
        # @param probe [Readings::Probe] between points of the table
        # @return [Float] volts that the likeliest fault of this part would show at the posts as they are
        def volt_with(unit, probe)
          volt = Suspects::Predictions.volts(scaled_with(unit, probe))
          posts = @case.circumstances.posts_in(@case.symptom.situation, @case.round)
          posts ? volt / belief.share_of_posts(likeliest(unit), posts) : volt
        end

        # @param unit [Circuits::RepairUnit]
        # @param probe [Readings::Probe]
        # @return [Float] the same on the scale on which readings are told apart
        def scaled_with(unit, probe) = belief.expected(table.predictions.between(probe.from, probe.to), likeliest(unit))

        # @return [Array<Readings::PointReading>] of this round and this state, between points that the table knows, nothing unplugged. Volts
        #   that prove nothing of a part because its current did not flow are no less what the meter showed: every suspect predicts them with
        #   the current that it leaves
        def read
          @read ||= @case.current.select do |one|
            probe = one.probe
            probe.situation == @case.symptom.situation && probe.opened.empty? && [probe.from, probe.to].all? { |node| table.node?(node) }
          end
        end

        # @return [Array<Readings::PointReading>] those of volts
        def measured = read.select { |one| one.probe.by == 'volts' && one.value }

        # @return [Boolean] whether anything was seen or read that it goes by, and the complaint was not seen to be gone
        def speaks? = silent? || (read.any? && !gone?)

        # @return [Readings::PointReading, nil] the one that fits least, where nothing on this circuit explains all of them together
        def misfit
          fits = measured.map { |one| belief.surprise(*as_read(one), **beside(one)) }
          return if fits.size < 2 || fits.sum < MISFIT_AT + (MISFIT_EACH * fits.size)

          measured[fits.index(fits.max)]
        end

        private

        def spoken_of(belief) = belief.by_unit.reject { |unit, share| unit.nil? || share < WORDS['open'] }

        # What was mended in this job is hardly at fault again; the unit's past makes some parts likelier.
        def untouched
          mended = @case.repairs.filter_map(&:unit).to_h { |key| [key, MENDED_SHARE] }
          Suspects::Belief.new(table.predictions, times: @case.priors.ratios.merge(mended))
        end

        def as_read(reading) = [reading.probe.from, reading.probe.to, reading.value]
        def beside(reading) = { posts_volt: @case.circumstances.posts_volt(reading), half_digit: reading.half_digit }

        def gone? = !@case.part.nil? && (@case.judgement(@case.seen_probe)&.sound? || false)

        # A start that was tried and stayed silent: its solenoid was seen to be dead.
        def silent(belief) = silent? ? belief.seen(table.scope.consumers.first, 'dead') : belief

        def silent?
          cranked = @case.circumstances.tests.latest('cranking_behaviour')
          @case.symptom.work == 'starting' && cranked&.round == @case.round && cranked.observation == 'silent'
        end

        def after(belief, reading)
          return seen(belief, reading) if reading.probe.by == 'seen'
          return belief unless reading.probe.by == 'volts' && reading.value

          belief.shown(*as_read(reading), **beside(reading))
        end

        def seen(belief, reading)
          consumer = table.scope.consumers.find { |one| one.from == reading.probe.from }
          consumer ? belief.seen(consumer, reading.observation) : belief
        end

        # Of what can be wrong with a part, its hypothesis.
        def likeliest(unit)
          @likeliest ||= table.hypotheses.each_index.group_by { |index| table.hypotheses[index].unit }
                              .transform_values { |indices| indices.max_by { |index| belief.probabilities[index] } }
          @likeliest.fetch(unit)
        end
      end
    end
  end
end
