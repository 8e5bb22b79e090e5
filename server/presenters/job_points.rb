# frozen_string_literal: true

module Server
  module Presenters
    # What "measure something else" chooses from: every point of the unit's circuit, its states, its plugs, what can be mended.
    module JobPoints
      # @param machine [Wattomneum::Circuits::Machine]
      def self.call(machine)
        { points: machine.points.all.map { |point| { node: point.node, label: point.label } },
          situations: Wattomneum::Circuits::Situation.of(machine.sheet).map { |one| { key: one.key, label: one.label } },
          plugs: machine.apart.all.map { |thing| { id: thing.id, label: thing.label } },
          units: machine.repair_units.all.map { |unit| { key: unit.key, label: unit.label } } }
      end
    end
  end
end
