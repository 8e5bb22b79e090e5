# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Assembling
      # Points that go by what they are, where a sheet does not say which of its pins they are: the posts of its batteries, the terminals of
      # the loads of its loops. What a sheet says itself goes before.
      class UnderstoodPlaces
        # @param sheet [Sheet]
        # @return [Sheet] the same with all its places
        def self.on(sheet)
          found = new(sheet).call
          (found.keys - sheet.places.keys).empty? ? sheet : sheet.with_places(found.merge(sheet.places))
        end

        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @return [Hash{String => String}] role to node
        def call = { **posts, **start, **charge }

        private

        def load_of(key) = @sheet.loops.find { |loop| loop.key == key }&.then { |loop| @sheet.part(loop.load) }
        def battery(node) = @sheet.part(node.split(':', 2).first).then { |part| part if part.is_a?(Parts::Battery) }

        # The negative post is what volts are counted from; the positive one is on the same battery, or at the far end of those in series.
        def posts
          last = battery(@sheet.reference) or return {}
          seen = []
          while (following = in_series_with(last)) && !seen.include?(following)
            seen << last
            last = following
          end
          { 'negative_post' => @sheet.reference, 'positive_post' => last.node('+') }
        end

        def in_series_with(one)
          ends = @sheet.wires.map { |wire| [wire.from, wire.to] }.select { |pair| pair.include?(one.node('+')) }.flatten
          ends.filter_map { |node| battery(node) if node.end_with?(':-') }.find { |other| other != one }
        end

        def start
          motor = load_of('start') or return {}
          return { 'starter_case' => motor.node(motor.pins.last), 'starter_stud' => motor.node(motor.pins.first) } if contact(motor).nil?

          solenoid, side = contact(motor)
          { 'starter_case' => motor.node(motor.pins.last), 'starter_stud' => solenoid.node(side == '87' ? '30' : '87'),
            'solenoid_terminal' => solenoid.node('86') }
        end

        # The relay whose contact the motor hangs on, and by which pin of it.
        def contact(motor)
          plus = motor.node(motor.pins.first)
          wire = @sheet.wires.find { |one| [one.from, one.to].include?(plus) } or return
          id, pin = (wire.from == plus ? wire.to : wire.from).split(':', 2)
          [@sheet.part(id), pin] if @sheet.part(id).is_a?(Parts::Relay)
        end

        def charge
          alternator = load_of('charge')
          return {} unless alternator.is_a?(Parts::Alternator)

          exciter = (alternator.pins & %w[D+ F F1]).first
          { 'alternator_output' => alternator.node('B+'), 'alternator_case' => alternator.node('case'),
            **(exciter ? { 'excitation_terminal' => alternator.node(exciter) } : {}),
            **(alternator.pins.include?('S') ? { 'sense_terminal' => alternator.node('S') } : {}) }
        end
      end
    end
  end
end
