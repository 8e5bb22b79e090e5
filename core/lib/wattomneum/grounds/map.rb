# frozen_string_literal: true

module Wattomneum
  # The way back: ground points, straps and faces of a unit, what hangs on each, and the walk along them.
  module Grounds
    # Ground points and straps of a unit's circuit, from the battery outwards.
    class Map
      KINDS = %w[ground strap mount].freeze
      # uuid: of the point, or of the strap's wire, for ever; from and to: nodes between which its drop is read; wire_size nil where none is known;
      # hangs: what loses its return with it; steps: joints and straps between it and the battery
      Place = Struct.new(:uuid, :key, :kind, :label, :from, :to, :wire_size, :hangs, :zone, :steps, :minutes, :cautions, keyword_init: true)

      # @param machine [Circuits::Machine] of the whole unit
      def initialize(machine)
        @machine = machine
        @sheet = machine.sheet
      end

      # @return [Array<Place>] the nearest to the battery first
      def places
        @places ||= @machine.repair_units.all.select { |unit| KINDS.include?(unit.kind) }.filter_map { |unit| place(unit) }
                            .sort_by { |one| [one.steps, one.key] }
      end

      private

      def place(unit)
        part = @sheet.parts.find { |one| unit.item_uuids.include?(one.uuid) && one.is_a?(Circuits::Parts::Joint) }
        return of_point(unit, part) if part && unit.kind == 'ground'

        wire = @sheet.wires.find { |one| unit.item_uuids.include?(one.uuid) }
        of_strap(unit, wire) if wire && (unit.kind == 'strap' || machine?(wire))
      end

      # The face of a starter or an alternator; the thread of a glow plug is looked after with the plug.
      def machine?(wire) = [wire.from, wire.to].any? { |node| loads.include?(id(node)) }
      def loads = @loads ||= @sheet.loops.map(&:load) + @sheet.parts.grep(Circuits::Parts::Alternator).map(&:id)

      def of_point(unit, part)
        body = part.fields['body'] or return
        wires = wires_of(part.id)
        new(unit, uuid: part.uuid, label: unit.label, from: part.node(Circuits::Parts::Joint::MIDDLE), wire_size: largest(wires),
                  to: "#{body}:#{Circuits::Parts::Body::METAL}", hangs: steps(part.id) == 1 ? EVERYTHING : behind(part.id), steps: steps(part.id))
      end

      # A strap, or a face: what lies on its far end hangs on it.
      def of_strap(unit, wire)
        far = [wire.from, wire.to].max_by { |node| steps(id(node)) }
        near = ([wire.from, wire.to] - [far]).first
        names = [far, near].map { |node| @sheet.part(id(node)).label }
        new(unit, uuid: wire.uuid, label: "#{WORDS.fetch(unit.kind)}, #{names.first} to #{Wording.inside(names.last)}", from: far, to: near,
                  wire_size: wire.size, hangs: on(id(far)), steps: [steps(id(near)) + 1, steps(id(far))].min)
      end

      EVERYTHING = ['The whole unit'].freeze
      WORDS = { 'strap' => 'Strap', 'mount' => 'Mounting face' }.freeze
      private_constant :EVERYTHING, :WORDS

      def new(unit, **known)
        Place.new(key: unit.key, kind: unit.kind, zone: unit.zone, minutes: unit.minutes, cautions: unit.cautions, **known)
      end

      # Loads whose own wires end at this point, over splices and plugs.
      def behind(id)
        seen = [id]
        loads = []
        queue = [id]
        until queue.empty?
          here = queue.shift
          neighbours(here).reject { |other| seen.include?(other) }.each do |other|
            seen << other
            passes?(other) ? queue << other : loads << other
          end
        end
        loads.map { |one| @sheet.part(one) }.select { |part| consumer?(part) }.map(&:label).sort
      end

      def consumer?(part) = !part.is_a?(Circuits::Parts::Body) && !part.is_a?(Circuits::Parts::Battery)
      def passes?(id) = %w[splice connector].include?(@sheet.part(id)&.kind)

      # Ground points that stand on a body, and bodies strapped to it from farther out; of a machine that is bolted on, itself.
      def on(id)
        part = @sheet.part(id)
        return [part.label] unless part.is_a?(Circuits::Parts::Body)

        points = @sheet.parts.grep(Circuits::Parts::Joint).select { |joint| joint.fields['body'] == id }.map(&:label)
        strapped = neighbours(id).select { |other| steps(other) > steps(id) }.map { |other| @sheet.part(other).label }
        (points + strapped).uniq.sort
      end

      def neighbours(id)
        wires_of(id).map { |wire| [id(wire.from), id(wire.to)].find { |other| other != id } || id }.uniq - [id]
      end

      def wires_of(id) = (@wires_of ||= @sheet.wires.flat_map { |w| [[id(w.from), w], [id(w.to), w]] }.group_by(&:first)).fetch(id, []).map(&:last)
      def id(node) = node.split(':', 2).first

      def largest(wires) = wires.select(&:section_mm2).max_by(&:section_mm2)&.size || wires.filter_map(&:size).first

      def steps(id) = reach.fetch(id, FAR)

      # Farther than any way back is long: not reached at all.
      FAR = 99
      private_constant :FAR

      # How many joints and straps lie between the negative post and each piece of metal, over metal, joints and plugs only.
      def reach
        @reach ||= begin
          near = @sheet.wires.select { |wire| [wire.from, wire.to].include?(@sheet.reference) || leads_back?(wire) }
          found = near.flat_map { |wire| [id(wire.from), id(wire.to)] }.reject { |one| one == id(@sheet.reference) }.uniq.to_h { |one| [one, 1] }
          queue = found.keys
          until queue.empty?
            here = queue.shift
            next_metal(here).reject { |other| found.key?(other) }.each do |other|
              found[other] = found[here] + 1
              queue << other
            end
          end
          found
        end
      end

      # A clamp on the negative post of any battery of the bank.
      def leads_back?(wire)
        post = @sheet.places['negative_post']
        post && [wire.from, wire.to].include?(post)
      end

      def next_metal(here)
        bodies = @sheet.parts.grep(Circuits::Parts::Joint).filter_map { |joint| [joint.id, joint.fields['body']] if joint.fields['body'] }
        stands = bodies.select { |pair| pair.include?(here) }.flatten
        metal = neighbours(here).select { |other| @sheet.part(other).is_a?(Circuits::Parts::Body) || @sheet.part(other).is_a?(Circuits::Parts::Joint) }
        (stands + metal).uniq - [here, id(@sheet.reference)]
      end
    end
  end
end
