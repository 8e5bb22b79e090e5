# frozen_string_literal: true

module Wattomneum
  # From readings to suspects, proof and the next step.
  module Faults
    # Everything that a job's readings say together: each judged, in the light of the others.
    class Assessment
      attr_reader :system, :readings, :points, :repairs, :symptom, :machine, :disturbed_count, :limits, :schools

      # @return [Array<Readings::Reading, Readings::PointReading>] taken with a repair undone for the purpose: they say nothing of the unit as it is
      attr_reader :undone

      # @param system [Units::ElectricalSystem]
      # @param readings [Array<Readings::Reading>] of tests of the catalogue, all that stand
      # @param points [Array<Readings::PointReading>] between two points of the circuit, all that stand
      # @param machine [Circuits::Machine, nil] the unit's circuit; without one, the usual circuit made from its few facts
      # @param repairs [Array<Jobs::Repair>] in the order they were made
      # @param symptom [Jobs::Symptom] what the complaint is about
      # @param disturbed_count [Integer] things unplugged or taken off and not yet put back
      # @param limits [Limits::Table]
      # @param schools [Schools::Choices]
      # @param table [Suspects::Table, nil] what each fault of this complaint would show, where that is worked out
      # @param past [Array<Jobs::PastWork>] what was mended on the unit in earlier jobs
      def initialize(system:, readings:, points: [], machine: nil, repairs: [], symptom: Jobs::Symptom.of('starting'), disturbed_count: 0,
                     limits: Limits::Table.shipped, schools: Schools::Choices.shipped, table: nil, past: [])
        readings, undone_tests = Experiments.apart(readings)
        points, undone_points = Experiments.apart(points)
        @undone = undone_tests + undone_points
        @engine = EngineMeanwhile.new(symptom: symptom, readings: readings + points, round: repairs.size)
        readings, worked = readings.partition { |one| @engine.counts?(one) }
        points, worked_points = points.partition { |one| @engine.counts?(one) }
        @worked = worked + worked_points
        @table = table
        @past = past
        @system = system
        @own_circuit = !machine.nil?
        @machine = machine || Circuits::UsualSheets.machine(system)
        @drops = Drops.new(@machine&.sheet, readings, points)
        @readings = @drops.readings
        @points = points
        @repairs = repairs
        @symptom = symptom
        @disturbed_count = disturbed_count
        @limits = limits
        @schools = schools
      end

      # @return [EngineMeanwhile] what the engine did while something was read
      attr_reader :engine

      # @return [Evidence::Circumstances]
      def circumstances
        @circumstances ||= Evidence::Circumstances.new(system: system, readings: readings, limits: limits)
      end

      # @return [Paths::Case, nil] what the readings between two points say; nil for a unit without any circuit
      def paths
        return if machine.nil?

        @paths ||= Paths::Case.new(machine: machine, readings: @drops.points, tests: circumstances, symptom: symptom, repairs: repairs,
                                   disturbed_count: disturbed_count, table: @table, past: @past, undone: undone.grep(Readings::PointReading),
                                   engine: @engine)
      end

      # @return [Hash{String => Evidence::Judgement}] by reading id, of tests and of points
      def judgements
        @judgements ||= point_judgements.merge(@drops.own.to_h { |reading| [reading.id, judge(reading)] },
                                               undone.to_h { |reading| [reading.id, judge_undone(reading)] },
                                               @worked.to_h { |reading| [reading.id, cranked(reading)] })
      end

      # @return [Integer] how many repairs have been made: readings from now on belong to this round
      def round = repairs.size

      # The last reading of a test that still counts. Battery tests count across rounds while the battery stays;
      # everything else has to be taken again after a repair.
      #
      # @param test_key [String]
      # @param position [String, nil]
      # @return [Readings::Reading, nil]
      def reading(test_key, position: nil)
        @newest ||= {}
        @newest.fetch([test_key, position]) { |key| @newest[key] = newest(test_key, position) }
      end

      # @param test_key [String]
      # @return [Integer] how often it was taken in this round
      def times(test_key) = readings.count { |one| one.test_key == test_key && one.round == round }

      # @param id [String, nil]
      # @return [Readings::Reading, nil]
      def reading_by_id(id)
        @by_id ||= (readings + @worked.grep(Readings::Reading)).to_h { |one| [one.id, one] }
        @by_id[id]
      end

      # @param test_key [String]
      # @param position [String, nil]
      # @return [Evidence::Judgement, nil]
      def judgement(test_key, position: nil)
        found = reading(test_key, position: position)
        found && judgements.fetch(found.id)
      end

      # @return [Array<Evidence::Judgement>] of the readings that count now
      def current_judgements
        @current_judgements ||= readings.map { |other| [other.test_key, other.position] }.uniq
                                        .filter_map { |key, position| judgement(key, position: position) }
      end

      # @return [Array<ProofLadder, Paths::Ladder>]
      def ladders
        @ladders ||= [*(ProofLadder.new(self, 'starter') if system.starter? && !symptom.stays_on?), *charger_ladder,
                      *system.positions.map { |position| ProofLadder.new(self, 'battery', position: position) }, *paths&.ladders]
      end

      # @return [Step]
      def next_step = @next_step ||= symptom.along_paths? ? step_along_paths : NextStep.new(self).call

      # @return [Array<Jobs::Proof, Paths::Proof>] one for each repair
      def proofs
        @proofs ||= repairs.each_with_index.map do |repair, index|
          paths&.proofs&.fetch(index) || Jobs::Proof.new(repair, index + 1, self)
        end
      end

      # @return [Batteries::BankReview] the batteries against each other
      def bank_review
        @bank_review ||= Batteries::BankReview.new(system: system, judgements: battery_judgements, schools: schools, limits: limits,
                                                   tested_at: readings.last&.taken_at)
      end

      # @return [Array<String>] what stands between this job and closing it
      def missing_to_close = Jobs::CloseGate.missing(self)

      private

      def judge(reading) = Evidence::Judging.call(reading, circumstances) { point_judgements.fetch(reading.id) }

      # Neither for nor against anything.
      def cranked(reading)
        Evidence::Judgement.new(reading_id: reading.id, verdict: 'unproven', validity: 'void', weight: 'none', code: 'start.cranked',
                                summary: Evidence::Findings.sentence('start.cranked', value: reading.spoken))
      end

      # As it would be judged of the unit as it is.
      def judge_undone(reading)
        return Evidence::Points::Judging.call(reading, paths.circumstances) if reading.is_a?(Readings::PointReading)

        Evidence::Judging.call(reading, circumstances) { point_judgement_of(reading) }
      end

      def point_judgement_of(reading)
        Evidence::Points::Judging.call(Drops.new(machine&.sheet, [reading], []).points.first, paths.circumstances)
      end

      def point_judgements
        return paths.judgements if paths

        unproven = { verdict: 'unproven', validity: 'unstated', weight: 'none', code: 'circuit.none', summary: NO_CIRCUIT }
        @drops.points.to_h { |reading| [reading.id, Evidence::Judgement.new(reading_id: reading.id, **unproven)] }
      end

      NO_CIRCUIT = Evidence::Findings.sentence('circuit.none')
      private_constant :NO_CIRCUIT

      def charger_ladder
        return [] unless system.battery?

        [ProofLadder.new(self, 'alternator', row: system.converter? || !system.lead_acid? ? 'charger' : 'alternator')]
      end

      def step_along_paths
        return paths.next_step if @own_circuit

        Step.new(kind: 'watch', minutes: 0, title: NO_CIRCUIT, why: 'Its circuits say what is wrong with them: put that right first', risks: [])
      end

      # A look at belt and posts, and an engine proved free, do not wear off with the next repair.
      LASTING = %w[connections_look belt_look engine_by_hand ring_gear_look posts_rest].freeze
      private_constant :LASTING

      def newest(test_key, position)
        readings.reverse_each.find do |other|
          other.test_key == test_key && other.position == position &&
            (position ? fitted?(other) : other.round == round || lasting?(other))
        end
      end

      def battery_judgements
        system.positions.to_h do |position|
          [position, { 'rest_voltage' => judgement('rest_voltage', position: position),
                       'battery_test' => judgement('battery_test', position: position) }]
        end
      end

      def lasting?(other) = LASTING.include?(other.test_key)
      def fitted?(other) = other.battery&.tag == system.batteries[other.position]&.tag
    end
  end
end
