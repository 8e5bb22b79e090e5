# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Where along one side of a consumer the volts are lost: halves what lies between the last good point and the first bad one, by how
      # likely each part is, and ends with the drop straight across one part.
      class Search
        # probe: to be read; unit and reading: what is convicted, and by which reading; below: consumers that must be looked at first,
        # a relay's coil or what a control unit's driver needs; clear: nothing lost on this side; torn: readings that contradict each other
        Outcome = Struct.new(:probe, :unit, :reading, :below, :clear, :torn, :why, keyword_init: true)

        # @param kase [Case]
        # @param consumer [Circuits::Consumer]
        # @param side [Symbol] :feed or :return
        def initialize(kase, consumer, side)
          @case = kase
          @consumer = consumer
          @side = side
          @situation = kase.symptom.situation
          lay_out
        end

        # @return [Boolean] whether the sound circuit has a way there at all
        def path? = @units.any?

        # @return [Readings::Probe] of the whole side
        def whole = at(@stops.size - 1)

        # @param below [Boolean] whether what a contact or driver needs is looked at before it is read across
        # @return [Outcome]
        def call(below: true)
          @below = below
          return Outcome.new(clear: true) unless path?
          return Outcome.new(probe: whole, why: "Which side loses them: #{@side == :feed ? 'the feed' : 'the ground'}") unless read?(whole)
          return Outcome.new(clear: true) unless lost? && first_bad

          between(last_good, first_bad)
        end

        private

        # Stops are the points between two parts, from the battery to the consumer.
        def lay_out
          finder = @case.machine.paths(Circuits::Situations.on(@case.machine.sheet, @situation).sheet_state)
          path = @side == :feed ? finder.to_battery(@consumer.from) : finder.to_ground(@consumer.to)
          steps = path.complete ? path.steps.reverse : []
          @stops = [steps.first&.to].compact
          @units = []
          @indices = []
          steps.each { |step| add(step) }
        end

        def add(step)
          unit = @case.machine.repair_units.of(step.index)
          if @units.last == unit
            @stops[-1] = step.from
            @indices.last << step.index
          else
            @units << unit
            @stops << step.from
            @indices << [step.index]
          end
        end

        def at(stop) = probe(@stops[stop], @case.circumstances.negative_post)

        def probe(from, to) = Readings::Probe.new(by: 'volts', from: from, to: to, situation: @situation)

        def read?(probe) = answers?(@case.judgement(probe)) || @case.times(probe) > 1
        def answers?(judgement) = !judgement.nil? && (judgement.usable? || judgement.would_be == 'sound')

        # A stop lies behind the fault if half of what is missing at the end is missing there already: a long run at its limit is no fault
        # beside one that takes most of the volts.
        def bad?(stop) = (stop.positive? && (missing_volt(stop)&.>= missing_volt(@stops.size - 1) / 2)) || false

        # Against what a sound circuit has there at these posts: too little along the feed, too much along the return.
        def missing_volt(stop)
          reading = @case.reading(at(stop))
          reading&.value && ((@side == :feed ? 1 : -1) * (sound_volt(at(stop), reading) - signed(reading, at(stop))))
        end

        def signed(reading, probe) = reading.probe.from == probe.from ? reading.value : -reading.value

        def sound_volt(probe, reading)
          circumstances = @case.circumstances
          volt = circumstances.volt_between(probe.from, probe.to, probe)
          posts = circumstances.posts_volt(reading)
          @side == :feed && posts ? volt + posts - circumstances.sound_posts_volt(reading) : volt
        end

        # Of the volts that the consumer lacks, this side has its share.
        def lost?
          missing = missing_volt(@stops.size - 1)
          return false if missing.nil? || missing < LITTLE_SHARE * lacking_volt

          @case.judgement(whole)&.act? || missing >= [LOST_SHARE * lacking_volt, LEAST_LOST_VOLT].max
        end

        LOST_SHARE = 0.3
        LEAST_LOST_VOLT = 0.2
        # A side over its limit that has so little of what is missing carries more current than it should: what is lost lies elsewhere.
        LITTLE_SHARE = 0.1
        private_constant :LOST_SHARE, :LEAST_LOST_VOLT, :LITTLE_SHARE

        def lacking_volt = @case.lacking_volt(@consumer)

        def good?(stop)
          return true if stop.zero?

          answers?(@case.judgement(at(stop))) && !bad?(stop)
        end

        def first_bad = (1...@stops.size).find { |stop| bad?(stop) }
        def last_good = (0...first_bad).to_a.reverse.find { |stop| good?(stop) }

        def between(low, high)
          return one_part(low) if high - low == 1
          return found_across(low, high) if found_across(low, high)

          Outcome.new(probe: at(middle(low, high)), why: "It is lost between #{name(low)} and #{name(high)}: this halves what lies between")
        end

        # A drop read straight across one part, by somebody's own choice.
        def found_across(low, high)
          (low...high).lazy.filter_map do |index|
            reading = @case.reading(across(index))
            Outcome.new(unit: @units[index], reading: reading) if reading && @case.judgements.fetch(reading.id).act?
          end.first
        end

        def name(stop) = Words.short(@stops[stop], @case.machine)
        def across(index) = probe(*(@side == :feed ? [@stops[index], @stops[index + 1]] : [@stops[index + 1], @stops[index]]))

        # The stop that parts what is likely most evenly, for the minutes it takes to get there.
        def middle(low, high)
          weights = (low...high).map { |index| weight(index) }
          total = weights.sum
          Worth.best(((low + 1)...high).to_a) { |stop| [Numerics::Entropy.bits(weights.first(stop - low).sum / total), minutes(stop)] }
        end

        # A contact stands for all that closes it: a lost coil shows as volts lost across the contact.
        def weight(index)
          own = @case.machine.repair_units.rate(@units[index])
          behind = needs(index).reject { |one| one.key == @consumer.key }.flat_map { |one| units_behind(one) }.uniq
          own + behind.sum { |unit| @case.machine.repair_units.rate(unit) }
        end

        def units_behind(consumer)
          finder = @case.machine.paths(Circuits::Situations.on(@case.machine.sheet, @situation).sheet_state)
          steps = [finder.to_battery(consumer.from), finder.to_ground(consumer.to)].select(&:plain?).flat_map(&:steps)
          @case.machine.repair_units.along(steps.map(&:index)) - @units
        end

        def minutes(stop) = @case.minutes(at(stop))

        def one_part(index)
          below = @below ? needs(index) : []
          return Outcome.new(below: below) if below.any?

          direct = across(index)
          reading = @case.reading(direct)
          return Outcome.new(probe: direct, why: "Straight across #{@units[index].label}: this convicts it or clears it") if reading.nil?
          return Outcome.new(unit: @units[index], reading: reading) if @case.judgements.fetch(reading.id).act?

          Outcome.new(torn: [at(index), at(index + 1), direct].filter_map { |one| @case.reading(one) })
        end

        # A contact that did not close is no fault of its own while its coil lacks volts; a driver, while its unit lacks something.
        def needs(index)
          owned = @indices[index].map { |branch| @case.machine.circuit.owned[branch] }
          relay = owned.find { |one| one.branch.gate == :energised }&.part
          driver = owned.find { |one| one.branch.gate == :driven }&.part
          part = relay || driver
          part ? @case.machine.consumers.needed(part) : []
        end
      end
    end
  end
end
