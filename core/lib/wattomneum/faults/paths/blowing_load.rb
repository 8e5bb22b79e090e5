# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # A fuse that blew once more though its wires are whole: something that hangs on it takes too much. Another fuse, and one of them plugged in
      # at a time: the one with which it blows. Ohms would not do: a motor that stands and a lamp that is cold have a tenth of what they work with.
      class BlowingLoad
        # More than these are not unplugged for it.
        MOST_LOADS = 8
        BLOWN_RATIO = 0.5
        WHY = 'It blew again and its wires are whole: something that hangs on it takes too much. Another fuse, and of all that hangs on it only ' \
              'this one plugged in: does it hold?'
        private_constant :MOST_LOADS, :BLOWN_RATIO, :WHY

        # @param kase [Case]
        # @param order [Order] makes the steps
        # @param fuse [Circuits::Part] that is blown
        # @param loads [Array<Circuits::Consumer>] that hang on it, the likeliest first
        def initialize(kase, order, fuse, loads)
          @case = kase
          @order = order
          @fuse = fuse
          @loads = loads
        end

        # @return [Step, nil] the next one to be tried, or what is to be mended; nil where the fuse holds with each of them
        def call
          return if ids.size > MOST_LOADS

          ids.each do |id|
            probe = only(id)
            reading = @case.reading(probe)
            return @order.measure(probe, why: WHY, title: "Only #{label(id)} plugged in: does the new fuse #{@fuse.id} hold?") if reading.nil?
            return blows(id, reading) if reading.value.abs > BLOWN_RATIO * @case.machine.sheet.system_volt
          end
          nil
        end

        private

        # What needs another one after that one.
        def ids
          @ids ||= begin
            all = @loads.map { |one| one.from.split(':', 2).first }.uniq
            all.sort_by.with_index { |id, at| [(needed_by(id) & all).size, at] }
          end
        end

        def only(id)
          pins = @fuse.pins.map { |pin| @fuse.node(pin) }
          Readings::Probe.new(by: 'volts', from: pins.first, to: pins.last, situation: @case.symptom.situation, opened: ids - [id] - needed_by(id))
        end

        # What switches it stays in, or it would not be fed.
        def needed_by(id)
          one = @loads.find { |load| load.from.start_with?("#{id}:") }
          finder = @case.circumstances.paths(Probes.across(one, @case.symptom.situation))
          steps = [finder.to_battery(one.from), finder.to_ground(one.to)].flat_map(&:steps)
          steps.filter_map { |step| @case.machine.circuit.owned[step.index].part&.id }.uniq - [id]
        end

        def label(id) = @case.machine.sheet.part(id).label

        # What has a ladder is not replaced for a fuse.
        def blows(id, reading)
          unit = @case.machine.repair_units.fetch(@loads.find { |one| one.from.start_with?("#{id}:") }.unit)
          return if @case.mended_in_vain?(unit.key)

          why = "With only it plugged in #{@fuse.id} blows, with its wires alone it does not"
          return @order.mend(unit, reading, title: "It blows #{@fuse.id}: #{unit.label}", why: why) unless unit.laddered

          Step.new(kind: 'watch', minutes: 0, risks: [], title: "Suspected, not proved: #{unit.label} blows #{@fuse.id}",
                   why: "#{why}. Look at its plug for water and bent pins; its maker's own test condemns it")
        end
      end
    end
  end
end
