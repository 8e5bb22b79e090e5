# frozen_string_literal: true

module Wattomneum
  module Circuits
    # What of a circuit a complaint can be about: what works when it should, and in which situations that is.
    class Complaints
      # work: key of Faults::OrdersOfWork; situations: in which it works in the sound circuit, the usual one first; off_in: those in which it
      # is off, key off first; of_loop: a starter, of which a complaint about starting is told otherwise
      Thing = Struct.new(:work, :part, :label, :item_uuid, :situations, :off_in, :of_loop, keyword_init: true)

      # @param machine [Machine]
      def initialize(machine)
        @machine = machine
      end

      # @return [Array<Thing>] by what they are called
      def all
        @machine.sheet.parts.filter_map { |part| thing(part) }.sort_by { |thing| [thing.label.downcase, thing.part] }
      end

      # @param part [Part]
      # @return [Thing, nil] nil where it never works
      def thing(part)
        work = Faults::OrdersOfWork.about(part)
        return if work.nil?

        working, off = Situation.of(@machine.sheet).partition { |situation| works?(part, situation.sheet_state) }
        usual, others = working.partition { |situation| situation.key == work.situation }
        return if working.empty?

        Thing.new(work: work.key, part: part.id, label: part.label, item_uuid: part.uuid, situations: usual + others,
                  off_in: off.sort_by { |one| one.isolator == 'open' ? 1 : 0 }, of_loop: starter?(part))
      end

      private

      def starter?(part)
        @machine.sheet.loops.any? { |loop| loop.load == part.id } || @machine.consumers.of(part).any? { |one| one.unit == RepairUnits::STARTER }
      end

      def works?(part, state)
        watch = @machine.circuit.watch_of("#{part.id}:")
        Effort.spend!(STEPS_A_LOOK)
        watch && Questions::Workings.new(@machine.settled).works?(watch, state)
      end

      STEPS_A_LOOK = 10
      private_constant :STEPS_A_LOOK
    end
  end
end
