# frozen_string_literal: true

module Wattomneum
  module Practice
    # Somebody who does what the next step says on a simulated unit until the job closes or no step is left.
    # Makes the demo's histories and checks the order of work against hidden faults.
    class Technician
      Event = Struct.new(:step, :reading, :repair, :minutes, keyword_init: true)
      MOST_STEPS = 60
      PUT_BACK_MINUTES = 5

      attr_reader :events, :readings, :repairs

      # @param unit [Unit]
      # @param work [String] starting or charging
      # @param seen [String] as the driver says it: comes_and_goes
      # @param minute [Integer] counts up as the work goes on; readings carry it as taken_at
      # @param table [Faults::Suspects::Table, nil] what each fault would show
      def initialize(unit, work: 'starting', seen: nil, minute: 0, table: nil)
        @table = table
        @unit = unit
        @symptom = Jobs::Symptom.of(work).dup.tap { |symptom| symptom.seen = seen }
        @minute = minute
        @events = []
        @readings = []
        @repairs = []
      end

      # @param most_steps [Integer] where an unfinished job stops
      # @return [Faults::Step] the step at which it stopped
      def work(most_steps: MOST_STEPS)
        most_steps.times do
          step = assessment.next_step
          return step if %w[close watch].include?(step.kind)

          take(step)
        end
        assessment.next_step
      end

      # @return [Faults::Assessment]
      def assessment
        Faults::Assessment.new(system: @unit.system, readings: @readings.grep(Readings::Reading), points: @readings.grep(Readings::PointReading),
                               machine: @unit.machine, repairs: @repairs, symptom: @symptom, table: @table)
      end

      private

      def take(step)
        @minute += [step.minutes, 1].max
        case step.kind
        when 'repair', 'condemn' then mend(step)
        when 'charge'
          @unit.charge(step.position)
          read(step)
        else read(step)
        end
      end

      def read(step)
        reading = step.probe ? between(step) : tested(step)
        @readings << reading
        @events << Event.new(step: step, reading: reading, minutes: @minute)
      end

      def tested(step)
        measured = @unit.measure(step.test_key, position: step.position)
        Readings::Reading.new(
          id: "r#{@readings.size + 1}", test_key: step.test_key, position: step.position, taken_at: @minute,
          battery: step.position && @unit.system.batteries[step.position], value: measured.value,
          observation: measured.observation, cells: measured.cells || [], conditions: measured.conditions,
          state: measured.state, round: @repairs.size
        )
      end

      def between(step)
        measured = @unit.read(step.probe, lamp_on: step.lamp_on)
        Readings::PointReading.new(id: "r#{@readings.size + 1}", probe: step.probe, taken_at: @minute, value: measured.value,
                                   overload: measured.overload || false, observation: measured.observation, conditions: measured.conditions,
                                   round: @repairs.size)
      end

      def mend(step)
        @unit.mend(element: step.element, position: step.position, unit: step.unit)
        repair = Jobs::Repair.new(id: "m#{@repairs.size + 1}", element: step.element, unit: step.unit, position: step.position,
                                  failing_reading_id: step.failing_reading_id, temporary: false)
        @repairs << repair
        @events << Event.new(step: step, repair: repair, minutes: @minute)
      end
    end
  end
end
