# frozen_string_literal: true

module Wattomneum
  module Faults
    # Finding a fault along the paths of the unit's own circuit.
    module Paths
      # What the readings between two points of one job say together: each judged on the unit's circuit, in the light of the others.
      class Case
        attr_reader :machine, :readings, :repairs, :symptom, :disturbed_count, :circumstances, :undone

        # @param machine [Circuits::Machine] the unit's sound circuit
        # @param readings [Array<Readings::PointReading>] all that stand
        # @param tests [Evidence::Circumstances] of the tests of the catalogue
        # @param symptom [Jobs::Symptom]
        # @param repairs [Array<Jobs::Repair>] in the order they were made
        # @param disturbed_count [Integer] things unplugged or taken off and not yet put back
        # @param table [Suspects::Table, nil] what each fault would show, where that is worked out
        # @param past [Array<Jobs::PastWork>] what was mended on the unit in earlier jobs
        # @param undone [Array<Readings::PointReading>] taken with a repair undone for its proof
        # @param engine [EngineMeanwhile, nil] what the engine did meanwhile
        def initialize(machine:, readings:, tests:, symptom:, repairs: [], disturbed_count: 0, table: nil, past: [], undone: [], engine: nil)
          @table = table
          @engine = engine
          @past = past
          @undone = undone
          @machine = machine
          @lost, known = readings.sort_by(&:taken_at).partition { |reading| lost?(reading.probe) }
          @readings = known
          @symptom = symptom
          @repairs = repairs
          @disturbed_count = disturbed_count
          @circumstances = Evidence::Points::Circumstances.new(machine: machine, readings: @readings, tests: tests)
        end

        # @param situation [String]
        # @return [Case] the same, followed in another situation than the complaint's
        def seen_in(situation)
          return self if situation == symptom.situation

          dup.tap { |other| other.symptom = Jobs::Symptom.new(**symptom.to_h, situation: situation) }
        end

        # @return [Suspects::Priors] what the unit's own past speaks for
        def priors = @priors ||= Suspects::Priors.new(machine, @past)

        # @return [Suspicion, nil] how likely each part is at fault, where the table of what each fault would show is worked out
        def suspicion = @table && (@suspicion ||= Suspicion.new(self, @table))

        # @return [Meanwhile, EngineMeanwhile] what its own thing did while something was read
        def meanwhile = @meanwhile ||= @engine&.about_starting? ? @engine : Meanwhile.new(self)

        # @return [Hash{String => Evidence::Judgement}] by reading id
        def judgements
          @judgements ||= readings.to_h { |reading| [reading.id, Evidence::Points::Judging.call(reading, circumstances)] }
                                  .merge(@lost.to_h { |reading| [reading.id, off_the_circuit(reading)] })
        end

        # @return [Integer] how many repairs have been made
        def round = repairs.size

        # @param probe [Readings::Probe]
        # @return [Readings::PointReading, nil] the last one of this round at these points, whichever way round they were probed
        def reading(probe) = (@newest ||= newest)[probe.alike]

        # @param probe [Readings::Probe]
        # @return [Evidence::Judgement, nil]
        def judgement(probe) = reading(probe) && judgements.fetch(reading(probe).id)

        # @param id [String, nil]
        # @return [Readings::PointReading, nil]
        def reading_by_id(id) = readings.find { |one| one.id == id }

        # @return [Array<Readings::PointReading>] that count in this round
        def current = (@newest ||= newest).values

        # @param probe [Readings::Probe]
        # @return [Integer] how often it was read in this round
        def times(probe) = readings.count { |one| one.round == round && one.probe.alike?(probe) }

        # @param probe [Readings::Probe]
        # @return [Float] minutes to take it now
        def minutes(probe) = (@access ||= Access.new(machine.sheet, readings.map(&:probe))).minutes(probe)

        # @param consumer [Circuits::Consumer]
        # @return [Boolean] whether it was read in this situation that it has its volts
        def served?(consumer) = SERVED.include?(judgement(Probes.across(consumer, symptom.situation))&.code)

        # @param consumer [Circuits::Consumer]
        # @return [Float] volts that it lacks in this situation against a sound circuit; 0 where they were not read
        def lacking_volt(consumer)
          across = Probes.across(consumer, symptom.situation)
          value = reading(across)&.value or return 0.0
          circumstances.volt_between(consumer.from, consumer.to, across).abs - value.abs
        end

        SERVED = %w[load.has_volts load.dead_with_volts].freeze
        private_constant :SERVED

        # @return [Array<Paths::Proof, nil>] one for each repair; nil for those that a test of the catalogue proves
        def proofs
          @proofs ||= repairs.each_with_index.map do |repair, index|
            Proof.new(repair, index + 1, self) if repair.unit || reading_by_id(repair.failing_reading_id)
          end
        end

        # @param unit_key [String]
        # @return [Boolean] mended, and its proof failed: not mended again
        def mended_in_vain?(unit_key) = proofs.compact.any? { |proof| proof.repair.unit == unit_key && proof.state == 'failed' }

        # @return [Step]
        def next_step = @next_step ||= Order.new(self).call

        # @return [Step, nil] what somebody's own readings between two points ask for, in a job that goes another way
        def aside = Order.new(self).aside

        # @return [Array<String>] what has to be seen and read again before this job can be closed, in words
        def owed = CloseGate.new(self).owed_words

        # @return [Circuits::Consumer, nil] field of an alternator whose regulator stands outside it
        def field = machine.consumers.all.find { |one| one.key.end_with?(' field') }

        # @return [Circuits::Part, nil] what fails
        def part = machine.sheet.part(symptom.part.to_s)

        # @return [Boolean] whether what fails is fed by a magneto, which gives nothing unless it turns
        def magneto?
          batteries = machine.sheet.parts.grep(Circuits::Parts::Battery)
          batteries.any? && batteries.all? { |one| one.fields['active_in'] }
        end

        # @return [Array<String>] ids of what can hurt somebody at every step of this work: a starter that stays in turns the engine as long as
        #   the isolator is on, a kill lead bears no battery
        def risks = [*('starter_stays_in' if starter_stays_in?), *('kill_lead' if magneto?)]

        # @return [String] situation in which what the complaint is about works: the complaint's own, but for what stays on
        def at_work
          return symptom.situation unless symptom.stays_on?

          usual = Circuits::Complaints.new(machine).thing(part)&.situations || []
          usual.empty? ? symptom.situation : usual.first.key
        end

        # @return [String] what it is called
        def label = part&.label || symptom.part.to_s

        # @return [Readings::Probe] by which it is seen whether the complaint is still there
        def seen_probe = Probes.seen(self, part)

        # @return [Array<Ladder>] of what is not replaced before it is climbed, where the complaint is about one
        def ladders
          return [] if part.nil? || !machine.repair_units.fetch(machine.consumers.needed(part).first.unit).laddered

          [(symptom.stays_on? ? StuckLadder : Ladder).new(self, part)]
        end

        protected

        def symptom=(other)
          @symptom = other
          @suspicion = nil
          @meanwhile = nil
          @newest = nil
        end

        private

        def starter_stays_in?
          symptom.stays_on? && machine.sheet.loops.any? { |loop| loop.key == 'start' && loop.load == symptom.part }
        end

        # A point or a state that the sheets do not have any more.
        def lost?(probe)
          [probe.from, probe.to].any? { |node| node.nil? || !machine.circuit.node?(node) } ||
            Circuits::Situation.of(machine.sheet).none? { |one| one.key == probe.situation }
        end

        def off_the_circuit(reading)
          Evidence::Judgement.new(reading_id: reading.id, verdict: 'unproven', validity: 'unstated', weight: 'none', code: 'point.lost',
                                  summary: Evidence::Findings.sentence('point.lost', value: reading.spoken))
        end

        # What was read while it worked tells nothing of why it fails.
        def newest = readings.select { |one| one.round == round && meanwhile.counts?(one) }.to_h { |one| [one.probe.alike, one] }
      end
    end
  end
end
