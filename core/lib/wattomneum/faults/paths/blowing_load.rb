# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # A fuse that blew once more though ohms showed no short: something that hangs on it takes too much. Another fuse: does it hold with all of
      # them off? Then one of them plugged in at a time: the one with which it blows. Ohms would not do: a motor that stands and a lamp that is
      # cold have a tenth of what they work with.
      class BlowingLoad
        # More than these are not unplugged for it.
        MOST_LOADS = 8
        BLOWN_RATIO = 0.5
        NONE_IN = 'It blew again. Another fuse, and all that hangs on it unplugged: does it hold? Then its wires are whole'
        ONE_IN = 'Its wires alone do not blow it: something that hangs on it takes too much. Of all of them only this one plugged in: does it hold?'
        private_constant :MOST_LOADS, :BLOWN_RATIO, :NONE_IN, :ONE_IN

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

          tried(ids, NONE_IN, 'Nothing plugged in') { by_its_wires } || one_by_one
        end

        private

        # What needs another one after that one.
        def ids
          @ids ||= begin
            all = @loads.map(&:part_id).uniq
            all.sort_by.with_index { |id, at| [(needed_by(id) & all).size, at] }
          end
        end

        def one_by_one
          ids.lazy.filter_map do |id|
            tried(ids - [id] - needed_by(id), ONE_IN, "Only #{label(id)} plugged in") { |reading| blows(id, reading) }
          end.first
        end

        # @yieldparam reading [Readings::PointReading] with which it blew
        # @return [Step, nil] to read it, or what the block makes of it; nil where it held
        def tried(off, why, plugged_in)
          probe = across_the_fuse(off)
          reading = @case.reading(probe)
          return @order.measure(probe, why: why, title: "#{plugged_in}: does the new fuse #{@fuse.id} hold?") if reading.nil?

          yield reading if reading.value.abs > BLOWN_RATIO * @case.machine.sheet.system_volt
        end

        def across_the_fuse(off)
          from, to = @fuse.pins.map { |pin| @fuse.node(pin) }
          Readings::Probe.new(by: 'volts', from: from, to: to, situation: @case.symptom.situation, opened: off)
        end

        def by_its_wires
          watch("#{@fuse.id} blows with all that hangs on it unplugged: look along its wires",
                'A run of wire is rubbed through where no ohms were to be had, or it comes and goes')
        end

        # What switches it stays in, or it would not be fed.
        def needed_by(id)
          one = load(id)
          finder = @case.circumstances.paths(Probes.across(one, @case.symptom.situation))
          steps = [finder.to_battery(one.from), finder.to_ground(one.to)].flat_map(&:steps)
          steps.filter_map { |step| @case.machine.circuit.owned[step.index].part&.id }.uniq - [id]
        end

        def load(id) = @loads.find { |one| one.part_id == id }

        # "Fuel pump", and what switches it, where that is one of them.
        def label(id) = [id, *(needed_by(id) & ids)].map { |one| @case.machine.sheet.part(one).label }.join(' and ')

        # What has a ladder is not replaced for a fuse.
        def blows(id, reading)
          unit = @case.machine.repair_units.fetch(load(id).unit)
          return if @case.mended_in_vain?(unit.key)

          why = "With only it plugged in #{@fuse.id} blows, with its wires alone it does not"
          return @order.mend(unit, reading, title: "It blows #{@fuse.id}: #{unit.label}", why: why) unless unit.laddered

          watch("Suspected, not proved: #{unit.label} blows #{@fuse.id}",
                "#{why}. Look at its plug for water and bent pins; its maker's own test condemns it")
        end

        def watch(title, why) = Step.new(kind: 'watch', minutes: 0, risks: [], title: title, why: why)
      end
    end
  end
end
