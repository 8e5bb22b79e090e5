# frozen_string_literal: true

module Server
  module Presenters
    # A reading between two points as the pad needs it: where, how, in which state, and what a sound circuit shows.
    module ProbeCard
      CORE = Wattomneum

      # @param probe [CORE::Readings::Probe]
      # @param assessment [CORE::Faults::Assessment] with a circuit
      def self.call(probe, assessment)
        machine = assessment.machine
        way = CORE::Readings::Methods.fetch(probe.by)
        situation = CORE::Circuits::Situations.on(machine.sheet, probe.situation)
        words = CORE::Faults::Paths::Words.probe(probe, machine)
        { by: probe.by, label: words[0].upcase + words[1..], red_on: assessment.system.positive_ground? ? 'to' : 'from',
          from: point(machine, probe.from), to: point(machine, probe.to),
          situation: situation.key, situation_label: situation.label, opened: probe.opened, instrument: way.instrument, quantity: way.quantity,
          units: CORE::Quantities::Unit.symbols(way.quantity), choices: way.choices.map { |choice| { key: choice['key'], label: choice['label'] } },
          cautions: cautions(situation, assessment.system), conditions: conditions(probe, assessment),
          expected: Expectation.call(probe, assessment) }
      end

      def self.point(machine, node)
        point = machine.points.at(node)
        { node: node, label: point.label, zone: point.zone && (machine.sheet.zones.dig(point.zone, 'label') || point.zone) }
      end

      def self.cautions(situation, system)
        CORE::Safety::Cautions.on(CORE::Safety::Cautions.fetch_all(situation.cautions), system).map(&:to_h)
      end

      def self.conditions(probe, assessment)
        asked = CORE::Evidence::Points::Asked.of(probe, assessment.paths.circumstances).map { |key| TestCard.condition(key, required: false) }
        assessment.paths.meanwhile.asked?(probe) ? [meanwhile(assessment), *asked] : asked
      end

      # It is the complaint's own thing that is looked at, the engine where it does not start.
      def self.meanwhile(assessment)
        asked = TestCard.condition(assessment.paths.meanwhile.key, required: false)
        assessment.engine.about_starting? ? asked : asked.merge(label: "#{assessment.paths.label} meanwhile")
      end
      private_class_method :point, :cautions, :conditions, :meanwhile
    end
  end
end
