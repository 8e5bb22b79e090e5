# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # What was read proves a part bad: it is mended, once its reading is borne out.
      class Convicted
        LITTLE_SHARE = 0.03
        LEAST_LITTLE_VOLT = 0.5
        private_constant :LITTLE_SHARE, :LEAST_LITTLE_VOLT

        # @param kase [Case]
        # @param order [Order] makes the steps
        def initialize(kase, order)
          @case = kase
          @order = order
        end

        # @return [Step, nil]
        def call
          found = failing.flat_map { |reading| @case.judgements.fetch(reading.id).convicts.map { |key| [key, reading] } }
          key, reading = found.find { |unit, _| !@case.mended_in_vain?(unit) }
          return blown_again(found.map(&:first)) if key.nil?

          of_one_moment(reading) || Borne.new(@case, @order).out(fetch(key), reading) || @order.repair(fetch(key), reading)
        end

        # A fuse that was found blown before what blew it was mended still has to be put in.
        #
        # @return [Step, nil]
        def blown_before
          older = @case.readings.select { |one| one.round < @case.round }
          convicted = older.flat_map { |one| @case.judgements.fetch(one.id).convicts.map { |unit| [unit, one] } }
          key, reading = convicted.find { |unit, _| Order::FUSES.include?(fetch(unit).kind) && @case.repairs.none? { |made| made.unit == unit } }
          key && @order.repair(fetch(key), reading)
        end

        # @return [Array<Readings::PointReading>] what fails by more than a hint, now
        def failing
          @case.current.select { |reading| @case.judgements.fetch(reading.id).then { |one| one.act? && one.weight != 'hint' } && matters?(reading) }
        end

        private

        # A fuse whose successor blew too.
        def blown_again(units)
          fuse = units.map { |key| fetch(key) }.find { |unit| Order::FUSES.include?(unit.kind) }
          fuse && ShortSearch.new(@case, @order, fuse).blown_again
        end

        def fetch(key) = @case.machine.repair_units.fetch(key)

        # A good part has its volts while a fault elsewhere has gone, and does nothing while it is there.
        def of_one_moment(reading)
          @order.in_one_moment(reading) if @case.judgements.fetch(reading.id).code == 'load.dead_with_volts'
        end

        # What takes so little of the volts that are missing does not keep it from working: more current flows there than should, for a fault
        # elsewhere.
        def matters?(reading)
          lost = @case.judgements.fetch(reading.id).figures[:drop_volt]
          consumer = needed.first
          return true if lost.nil? || consumer.nil? || reading.probe.situation != @case.symptom.situation

          lost.abs >= [LITTLE_SHARE * @case.lacking_volt(consumer), LEAST_LITTLE_VOLT].min
        end

        def needed = @case.part ? @case.machine.consumers.needed(@case.part) : []
      end
    end
  end
end
