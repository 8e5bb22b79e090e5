# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # The drop that a path may have, from core/data/path_limits.yml: a whole by its own limit, a part of it by what its units may drop, and
      # never by more than the whole.
      class PathLimit
        TABLE = DataFile.load('path_limits').freeze
        # A run of wire may drop twice what its length and size give (lengths are guesses on most units), and 50 mV at least; ours.
        WIRE_RATIO = 2.0
        # What a test lamp of 21 W draws from 12 V, and a little more (ours).
        LAMP_AMPERE = 2.0
        WIRE_LEAST_VOLT = 0.05
        # Long runs drop more than the limit and are sound: as much as their sheet gives, and half as much again (ours).
        WHOLE_RATIO = 1.5
        # volt: the most that is allowed; rows: limits it comes from; words: how it was put together
        Found = Struct.new(:volt, :rows, :words, keyword_init: true)

        # @param path [Circuits::Questions::PathFinder::Path] plain, in the situation of the reading
        # @param units [Array<Circuits::RepairUnit>] along it
        # @param circumstances [Circumstances]
        # @param side [Symbol] :feed or :return
        # @param reading [Readings::PointReading]
        def initialize(path, units, circumstances, side, reading)
          @path = path
          @units = units
          @circumstances = circumstances
          @side = side
          @reading = reading
        end

        # What branches off on the way is not the path's own.
        #
        # @return [Float] ampere that the path carries in a sound circuit
        def sound_ampere = @sound_ampere ||= @path.steps.map { |step| step.ampere.abs }.min || 0.0

        # @return [Float] volts that a sound circuit drops along it
        def sound_drop_volt = @sound_drop_volt ||= @path.steps.sum { |step| step.drop_volt.to_f.abs }

        # @return [Boolean] whether the starter's current flows in it
        def start? = @start.nil? ? @start = @circumstances.loops.starters?(@path) : @start

        # @return [Boolean] whether the alternator's current flows in it, as somebody said how much
        def alternator?
          return false if start?

          @reading.conditions.number('current_ampere') ? loops.alternators?(@units, @reading.probe) : loops.charge_side?(@reading.probe)
        end

        # @return [Flow::OfLoads] what is known of the current in it
        def flow
          @flow ||= { 'start' => Flow::OfStarter, 'alternator' => Flow::OfAlternator, 'other' => Flow::OfLoads }
                    .fetch(current).new(@reading, @units.reject { |unit| unit.kind == 'body' }, sound_ampere, @circumstances)
        end

        # @return [Boolean] one of the two sides of the start loop, from the battery to the starter
        def start_side? = start? && loops.start_side?([@path.steps.first.from, @path.steps.last.to])

        # @return [Found]
        def call
          whole = whole_row
          limit = row(whole['limit'])
          return Found.new(volt: limit.value, rows: [limit], words: nil) unless whole['most']

          part? ? parts_of(limit) : Found.new(volt: most(limit), rows: [limit], words: long_run(limit))
        end

        private

        def loops = @circumstances.loops

        # The starter's and the alternator's path have their figure, whatever their cables.
        def most(limit) = current == 'other' ? [limit.value, WHOLE_RATIO * sound_drop_volt].max : limit.value

        def long_run(limit)
          return unless most(limit) > limit.value

          "its cables take #{Quantities::Figure.volt(sound_drop_volt)} by the sheet: #{Quantities::Figure.volt(most(limit))}"
        end

        # The units of a part: their own limits, together not over the whole's.
        def parts_of(limit)
          allowed = @units.map { |unit| allowed(unit) }
          sum = allowed.sum(&:first)
          rows = (allowed.filter_map(&:last).uniq + [limit]).uniq
          volt = [sum, most(limit)].min
          words = "#{@units.size == 1 ? @units.first.label : "its #{@units.size} parts"} may drop #{Quantities::Figure.volt(volt)}"
          Found.new(volt: volt, rows: rows, words: words)
        end

        # From the post to the consumer is the whole; anything shorter is a part.
        def part?
          ends = [@path.steps.first&.from, @path.steps.last&.to].compact
          post = @side == :feed ? @circumstances.positive_post : @circumstances.negative_post
          consumer_ends = @circumstances.uses.consumers.all.flat_map { |one| [one.from, one.to] }
          !(ends.include?(post) && ends.intersect?(consumer_ends))
        end

        def whole_row
          TABLE['whole'].find do |one|
            one['current'] == current && (one['side'].nil? || one['side'] == @side.to_s) && (one['ends'].nil? || ends?(one['ends']))
          end
        end

        def current
          @current ||= if start?
                         'start'
                       else
                         (alternator? ? 'alternator' : 'other')
                       end
        end

        def ends?(wanted)
          ends = [@path.steps.first&.from, @path.steps.last&.to]
          [wanted, wanted.reverse].any? { |pair| pair.zip(ends).all? { |role, node| role?(role, node) } }
        end

        def role?(role, node)
          case role
          when 'any' then true
          when 'control_ground' then control_role(node) == 'ground'
          when 'sensor_return' then control_role(node) == 'return'
          when 'negative_post' then node == @circumstances.negative_post
          else node == @circumstances.machine.sheet.places[role]
          end
        end

        def control_role(node)
          id, pin = node.to_s.split(':', 2)
          part = @circumstances.machine.sheet.part(id)
          part.role(pin) if part.is_a?(Circuits::Parts::ControlUnit)
        end

        # @return [Array(Float, Limits::Limit)]
        def allowed(unit)
          kinds = TABLE['unit'].fetch(current).values.find { |one| one['kinds'].include?(unit.kind) }
          return [wire_volt(unit, WIRE_RATIO), nil] if kinds.nil?

          limit = row(kinds['limit'])
          return [limit.value, limit] if current != 'other' && unit.kind != 'wire'

          [[limit.value, wire_volt(unit, current == 'other' ? WIRE_RATIO : WHOLE_RATIO)].max, limit]
        end

        # What the sheet gives for this unit at its sound current, or at that of the lamp that hangs on it, and as much again as lengths may
        # be off.
        def wire_volt(unit, ratio)
          steps = @path.steps.select { |step| @circumstances.machine.repair_units.of(step.index).key == unit.key }
          [ratio * steps.sum { |step| [step.drop_volt.to_f.abs, lamp_volt(step)].max }, WIRE_LEAST_VOLT].max
        end

        def lamp_volt(step)
          flow.under_load? ? LAMP_AMPERE * @circumstances.machine.circuit.network.branches[step.index].ohm : 0.0
        end

        def row(id) = @circumstances.limits.fetch(id, system_volt: @circumstances.machine.sheet.system_volt)
      end
    end
  end
end
