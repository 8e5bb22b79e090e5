# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # One next step at a time for anything that should work and does not: see it fail, posts, volts across it, which side loses them,
      # halve that side, convict by the drop straight across one part; mend; prove by the same reading; see it work; put back; close.
      class Order
        CHARGE_MINUTES = 30
        FUSES = %w[fuse fusible_link].freeze
        POSTS_FIRST = 'The posts in this state: every other reading is held against them'
        IN_ONE_MOMENT = 'It had its volts, and it was seen to fail, but not in one moment: were it a fault that comes and goes, a good part ' \
                        'would be condemned. Read it again and say what it does meanwhile'
        UNTIL_IT_FAILS = 'It comes and goes: what is read while it works tells nothing. Wiggle the loom on its way, warm it, wet it'
        private_constant :UNTIL_IT_FAILS, :CHARGE_MINUTES, :POSTS_FIRST, :IN_ONE_MOMENT

        # @param kase [Case]
        def initialize(kase)
          @case = kase
        end

        # @return [Step]
        def call
          return lost if @case.part.nil?
          return comes_and_goes if @case.meanwhile.in_vain?

          prove || finishing&.no_change || convicted.call || convicted.blown_before || finishing&.call || seen || search || nothing_found
        end

        # @return [Step, nil]
        def aside = prove || convicted.call

        # @param consumers [Array<Circuits::Consumer>] that lack something
        # @return [Step, nil] along their feeds and returns, held against the posts
        def down(consumers)
          return measure(posts_probe, why: POSTS_FIRST) unless posts_known?(situation)

          by_belief(consumers) || Descent.new(@case, self).call(consumers)
        end

        # @param probe [Readings::Probe]
        # @param why [String]
        # @param lamp_on [String, nil] node that a lamp hangs on meanwhile
        # @return [Step] of kind measure, unless another is said
        def measure(probe, why:, kind: 'measure', failing: nil, unit: nil, title: nil, lamp_on: nil)
          words = Words.probe(probe, machine)
          test = test_of(probe)
          return Step.of_test(test.key, why: why, kind: kind, failing_reading_id: failing&.id, unit: unit, title: title || test.label) if test

          why = @case.meanwhile.again(probe) || why
          Step.new(kind: kind, probe: probe, unit: unit, minutes: @case.minutes(probe).round, why: why,
                   failing_reading_id: failing&.id, lamp_on: lamp_on, title: title || (words[0].upcase + words[1..]),
                   risks: risks(probe))
        end

        # What is dead with all its volts is proved by being seen to work, not by the volts that it had before too.
        #
        # @param unit [Circuits::RepairUnit]
        # @param reading [Readings::PointReading] that convicts it
        # @return [Step]
        def repair(unit, reading)
          blown_by = ShortSearch.new(@case, self, unit).call if FUSES.include?(unit.kind)
          return blown_by if blown_by

          judgement = @case.judgements.fetch(reading.id)
          shown_by = judgement.code == 'load.dead_with_volts' && @case.part ? @case.reading(@case.seen_probe) || reading : reading
          mend(unit, shown_by, title: title_of(unit), why: judgement.summary)
        end

        # @param unit [Circuits::RepairUnit]
        # @param reading [Readings::PointReading] by which its repair is proved
        # @param title [String]
        # @param why [String]
        # @return [Step] of kind repair
        def mend(unit, reading, title:, why:)
          Step.new(kind: 'repair', unit: unit.key, minutes: unit.minutes, failing_reading_id: reading.id, why: why, risks: unit.cautions,
                   title: title)
        end

        # A proving drop is worth nothing unless it is known that its current flowed.
        #
        # @param probe [Readings::Probe] that is to prove something
        # @return [Step, nil] what says so, where that is not known
        def companion(probe)
          return unless probe.by == 'volts'
          return StartCompanion.new(@case, probe).call if @case.circumstances.loops.start_path?(probe)
          return measure(Probes.posts(@case, probe.situation), why: POSTS_FIRST) if by_posts?(probe) && !posts_known?(probe.situation)

          consumer = consumers_on(probe).find { |one| usable_consumer?(one, probe) } or return
          across = Probes.across(consumer, probe.situation)
          known = @case.circumstances.uses.share_of(consumer, probe, @case.round)
          measure(across, why: 'What reaches it says how much current flows') unless known || @case.reading(across)
        end

        # @param reading [Readings::PointReading] of volts that something had
        # @return [Step, nil] to read them again with it in view; nil where they were read so
        def in_one_moment(reading)
          return if @case.meanwhile.of_one_moment?(reading)

          measure(reading.probe, kind: 'repeat', why: IN_ONE_MOMENT, title: "Meter and eyes in one moment: #{Words.probe(reading.probe, machine)}")
        end

        private

        def risks(probe)
          [*@case.risks, *Circuits::Situations.on(machine.sheet, probe.situation).cautions,
           *('splice_cut' if probe.opened.any? { |id| Circuits::Apart.kind(id, machine.sheet) == 'splice' })]
        end

        def machine = @case.machine
        def situation = @case.symptom.situation

        # Where the catalogue has a test for it, it is asked for as that.
        def test_of(probe)
          posts_cranking = Readings::Catalogue.fetch('posts_cranking')
          posts_cranking.probe(machine.sheet)&.alike?(probe) ? posts_cranking : Readings::Catalogue.along(probe, machine.sheet)
        end

        def posts_known?(state) = !@case.circumstances.posts_in(state, @case.round).nil?
        def consumers = @case.part ? machine.consumers.needed(@case.part) : []

        def lost
          Step.new(kind: 'watch', minutes: 0, title: "This unit's circuit has no #{@case.symptom.part} any more",
                   why: 'The sheets were changed. What was read stays: measure something else, or park it')
        end

        # -- proving and mending

        def prove = Proving.new(@case, self).call

        def by_posts?(probe) = probe.to == @case.circumstances.negative_post && !@case.circumstances.paths(probe).between(probe.from, probe.to).plain?

        # What shows by its volts whether current flows in a path; what the complaint is about before others.
        def consumers_on(probe)
          finder = @case.circumstances.paths(probe)
          path = by_posts?(probe) ? finder.to_battery(probe.from) : finder.between(probe.from, probe.to)
          units = machine.repair_units.along(path.steps.map(&:index)).reject { |unit| unit.kind == 'body' }
          own = consumers.map(&:key)
          machine.consumers.all.select { |one| @case.circumstances.uses.hangs_on?(one, units, probe) }.sort_by { |one| own.include?(one.key) ? 0 : 1 }
        end

        def usable_consumer?(consumer, probe) = @case.circumstances.volt_between(consumer.from, consumer.to, probe).abs > Probes::LEAST_VOLT

        def title_of(unit)
          return "#{unit.label} is blown: look for what blew it before a new one goes in" if FUSES.include?(unit.kind)

          "Mend: #{unit.label}"
        end

        # -- the order of work

        def seen
          judgement = @case.judgement(@case.seen_probe)
          return measure(@case.seen_probe, why: 'See it fail before anything is touched') if judgement.nil?

          until_it_fails || comes_and_goes if judgement.sound?
        end

        def until_it_fails
          return if @case.repairs.any? || !@case.meanwhile.waited_for?

          measure(@case.seen_probe, kind: 'repeat', why: UNTIL_IT_FAILS, title: "Try it until it fails: #{Words.probe(@case.seen_probe, machine)}")
        end

        def search
          return StaysOn.new(@case, self).call if @case.symptom.stays_on?
          return Killed.new(@case, self).call if @case.magneto?

          posts || by_belief(consumers) || Descent.new(@case, self).call(consumers)
        end

        def by_belief(consumers) = @case.suspicion&.table&.tells?(consumers) ? ByBelief.new(@case, self, @case.suspicion).call : nil

        def comes_and_goes
          return still_owed if @case.repairs.any?

          does = @case.symptom.stays_on? ? 'is off' : 'works'
          Step.new(kind: 'watch', minutes: 0, title: "#{@case.label} #{does} now: park it with what is known", risks: [],
                   why: 'A fault that comes and goes is not closed by one good start. Read it again when it fails')
        end

        def still_owed
          Step.new(kind: 'watch', minutes: 0, title: 'Not proved yet: park it with what is owed', risks: [],
                   why: [*@case.proofs.compact.filter_map(&:owed), *@case.owed].first.to_s)
        end

        def posts_probe = Probes.posts(@case, situation)

        def posts
          judgement = @case.judgement(posts_probe)
          return measure(posts_probe, why: POSTS_FIRST) if judgement.nil?
          return unless judgement.act?

          inside_the_bank || charge(judgement)
        end

        # Posts that fall far below what the batteries have between themselves: a link or a clamp inside the bank, straight across.
        def inside_the_bank
          link = Bank.new(@case, situation).probes.find { |probe| @case.judgement(probe).nil? }
          link && measure(link, why: 'The posts fall: is it a battery, or what joins them?')
        end

        def charge(judgement)
          return flat(judgement) if @case.times(posts_probe) > 1

          Step.new(kind: 'charge', probe: posts_probe, minutes: CHARGE_MINUTES, title: 'Charge, look at the clamps, then read the posts again',
                   why: judgement.summary, risks: %w[batteries frozen_battery])
        end

        def flat(judgement)
          Step.new(kind: 'watch', minutes: 0, title: 'The posts stay low: the batteries come first, as a job of their own', risks: ['batteries'],
                   why: judgement.summary)
        end

        def finishing = @finishing ||= (Finishing.new(@case, self) if @case.repairs.any?)
        def nothing_found = Unproved.new(@case, convicted.failing).call
        def convicted = @convicted ||= Convicted.new(@case, self)
      end
    end
  end
end
