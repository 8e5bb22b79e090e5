# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # What blew a fuse: ohms to ground with the isolator open, section by section from the fuse on. A section ends where a contact stands
      # open or a plug can be parted; only where the sheet leads nowhere do ohms tell a short.
      class ShortSearch
        # One piece of the way that can be measured by itself: node, and what is unplugged for it.
        Section = Struct.new(:node, :opened, keyword_init: true)
        SITUATION = 'isolator_open'
        WHY = 'A fuse does not blow by itself: is this section shorted to ground?'
        MOST_UNPLUGGED = 5
        private_constant :SITUATION, :WHY, :MOST_UNPLUGGED

        # @param kase [Case]
        # @param order [Order] makes the steps
        # @param fuse [Circuits::RepairUnit] that is blown
        def initialize(kase, order, fuse)
          @case = kase
          @order = order
          @fuse = fuse
          @machine = kase.machine
          # Blown or not, it is out while one looks.
          @fuse_ids = @machine.sheet.parts.select { |part| fuse.item_uuids.include?(part.uuid) }.map(&:id)
        end

        # @return [Step, nil] the next ohms, or the shorted section; nil where all is insulated, or nothing can be told
        def call
          (sections + aside).each do |section|
            probe = [section, unloaded(section)].map { |one| probe_of(one) }.find { |one| tells?(one) } or next

            reading = @case.reading(probe)
            return @order.measure(probe, why: WHY) if reading.nil?
            return ShortedWire.new(@case, @order, reading).call if @case.judgements.fetch(reading.id).code == 'ohms.short'
          end
          nil
        end

        # A new one blew too, though no wire is shorted: one of the things that hang on it takes too much.
        #
        # @return [Step, nil]
        def blown_again
          return if sections.empty?

          own = @machine.consumers.needed(@case.part) if @case.part
          loads = hanging_on(working.nodes(sections.first.node, without: branches(fuses)))
          BlowingLoad.new(@case, @order, @machine.sheet.part(@fuse_ids.first), [*(loads & own.to_a), *loads].uniq).call
        end

        private

        def probe_of(section)
          Readings::Probe.new(by: 'ohms', from: section.node, to: @case.circumstances.negative_post, situation: SITUATION, opened: section.opened)
        end

        # The same with whatever else hangs on the fuse unplugged too, as long as that is few.
        def unloaded(section)
          hanging = @machine.consumers.all.select do |one|
            @case.circumstances.uses.hangs_on?(one, [@fuse], Probes.across(one, @case.symptom.situation))
          end
          ids = hanging.map(&:part_id).uniq
          ids.size > MOST_UNPLUGGED ? section : Section.new(**section.to_h, opened: [*section.opened, *ids].uniq)
        end

        def dead_state? = Circuits::Situation.of(@machine.sheet).any? { |one| one.key == SITUATION }

        # A state without isolator, or a load that cannot be unplugged from the section: then ohms say nothing here.
        def tells?(probe) = dead_state? && ShortedWire.tells?(@machine, probe)

        # From behind the fuse along the feed of what fails.
        def sections = @sections ||= along_the_way

        def along_the_way
          steps = way
          cut = steps.slice_when { |one, other| cut?(one) || cut?(other) }.reject { |run| cut?(run.first) }
          cut.map { |run| section(run, steps) }
        end

        def way
          @consumer = [*@machine.consumers.needed(@case.part), *@machine.consumers.all].find { |one| behind_fuse(one).any? }
          @consumer ? behind_fuse(@consumer) : []
        end

        # Whatever else hangs on the fuse as it works, off that way, piece by piece; what lies behind another fuse blows that one.
        def aside
          return [] if sections.empty? || !dead_state?

          in_pieces(fed - sections.flat_map { |section| resting.wires(section.node, without: branches(section.opened)) })
        end

        def in_pieces(units)
          return [] if units.empty?

          node = end_of(units.first)
          section = Section.new(node: node, opened: [*@fuse_ids, *loads_on(resting.nodes(node, without: branches(@fuse_ids)))].uniq)
          [section, *in_pieces(units.drop(1) - resting.wires(node, without: branches(section.opened)))]
        end

        # A pin before a splice under tape.
        def end_of(unit)
          wire = @machine.sheet.wires.find { |one| unit.item_uuids.include?(one.uuid) }
          [wire.to, wire.from].find { |node| node.include?(':') } || @machine.points.named(wire.to).node
        end

        # From the other side of the fuse.
        def fed = working.wires(sections.first.node, without: branches(fuses))

        def fuses = @machine.sheet.parts.grep(Circuits::Parts::Fuse).map(&:id)
        def working = @machine.metal(@case.circumstances.state(Probes.across(@consumer, @case.symptom.situation)))
        def resting = @machine.metal(Circuits::Situations.on(@machine.sheet, SITUATION).sheet_state)
        def branches(ids) = @machine.apart.branches(ids)

        # What leads on from there through a load: unplugged, relays pulled.
        def loads_on(nodes) = hanging_on(nodes).map(&:part_id).uniq
        def hanging_on(nodes) = @machine.consumers.all.select { |one| nodes.intersect?([one.from, one.to]) }

        # Steps from the fuse to the consumer.
        def behind_fuse(consumer)
          steps = @case.circumstances.paths(Probes.across(consumer, @case.symptom.situation)).to_battery(consumer.from).steps.reverse
          at = steps.index { |step| @machine.repair_units.of(step.index) == @fuse }
          at ? steps.drop(at + 1) : []
        end

        def part_of(step) = @machine.circuit.owned[step.index].part
        def plug?(step) = part_of(step).is_a?(Circuits::Parts::Connector)

        # A plug, or a contact that stands open with the isolator.
        def cut?(step)
          plug?(step) || !@machine.settled.fetch('off').solution.conducting[step.index]
        end

        def section(run, steps)
          before = steps[steps.index(run.first) - 1] if steps.index(run.first).positive?
          after = steps[steps.index(run.last) + 1]
          opened = [before, after].compact.select { |step| plug?(step) }.map { |step| part_of(step).id }
          opened << @consumer.part_id if after.nil?
          Section.new(node: run.first.to, opened: [*opened, *@fuse_ids].uniq)
        end
      end
    end
  end
end
