# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # An engine in the moment in which it is asked to stop: its key is off, its button pressed, and it still turns. Whatever goes by oil pressure,
      # speed or charge is as it was while it ran.
      class Turning
        KEY_ON = 'key_on'
        ENGINE = 'engine'
        private_constant :KEY_ON, :ENGINE

        # @param circuit [Circuit]
        # @param stop [Sheet::Stop]
        def initialize(circuit, stop)
          @circuit = circuit
          @stop = stop
        end

        # @param settled [Solving::SettledStates] of the circuit, with a fault in it or without
        # @param to [String] key state in which it is asked, the one it runs in where a button is pressed
        # @param opening [Array<Integer>] branches that are opened meanwhile
        # @return [Solving::SettledStates] that knows the state it went to alone
        def moved(settled, to:, opening: [])
          return settled.moved(from: @stop.running, to: to, opening: opening) if following.empty?

          settled.on(while_turning, @stop.running).moved(from: @stop.running, to: to, opening: opening)
        end

        # @return [Array<Part>] what goes by the engine, not by the key: said of a switch, or seen by a contact that is closed while it runs and not
        #   with the key on; an alternator
        def following = @following ||= sheet.parts.select { |part| follows?(part) }

        private

        def sheet = @circuit.sheet

        def follows?(part)
          case part
          when Parts::Alternator then true
          when Parts::Switch then part.fields['follows'] ? part.fields['follows'] == ENGINE : goes_by_engine?(part)
          else false
          end
        end

        def goes_by_engine?(part)
          sheet.states.key?(KEY_ON) && @stop.running != KEY_ON && part.branches.any? { |branch| engine_alone?(branch.states) }
        end

        def engine_alone?(states) = states.include?(@stop.running) && !states.include?(KEY_ON)

        # The same parts, branch for branch: what follows the engine does in each state of asking what it does while that runs.
        def while_turning
          @while_turning ||= Circuit.new(sheet.with_parts(following.to_h { |part| [part.id, carried_over(part)] }), ohms: @circuit.ohms)
        end

        def carried_over(part)
          fields = part.fields
          return { **fields, 'active_in' => asked_too(fields['active_in'] || [@stop.running]) } if part.is_a?(Parts::Alternator)
          return { **fields, 'closed_in' => asked_too(fields['closed_in']) } unless fields['contacts']

          said = fields['follows'] == ENGINE
          contacts = fields['contacts'].map do |one|
            said || engine_alone?(one['closed_in'].map(&:to_s)) ? { **one, 'closed_in' => asked_too(one['closed_in']) } : one
          end
          { **fields, 'contacts' => contacts }
        end

        def asked_too(states)
          plain = states.map(&:to_s)
          plain.include?(@stop.running) ? plain | @stop.asked_in : plain - @stop.asked_in
        end
      end
    end
  end
end
