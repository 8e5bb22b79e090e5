# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # What was said that tells nothing, since it cannot be or is so when all is sound: a lamp called dead where it is off anyway. No fault is
        # looked for behind it.
        class SaysNothing
          # said; because: rest of a sentence that begins with the name of the thing
          Note = Struct.new(:said, :because, keyword_init: true)
          OFF = %i[dead weak].freeze
          OF_SIGNALS = %i[low high].freeze
          private_constant :OFF, :OF_SIGNALS

          # @param circuit [Circuit]
          # @param sound [Array<Float>] strengths of the sound machine
          def initialize(circuit, sound)
            @circuit = circuit
            @volts = sound.each_slice(circuit.sheet.states.size).to_a
            @looks = Looks.new(circuit, sound).of(sound)
          end

          # @param said [Array<Said>]
          # @return [Array<Note>] of those that tell nothing, in their order
          def among(said) = said.filter_map { |one| because(one)&.then { |words| Note.new(said: one, because: words) } }

          private

          def because(said)
            return of_signal(said) if @circuit.watches[said.watch].signal?
            return 'is no signal: say that it is dead, is weak, runs by itself or works' if OF_SIGNALS.include?(said.word)

            of_thing(said)
          end

          def of_thing(said)
            off = in_its_states(@looks, said).map { |look| look == :idle }
            where = said.key_state ? 'there' : 'in every key state'
            case said.word
            when *OFF then "is off #{where} when all is sound" if off.all?
            when :runs then "is on #{where} when all is sound" if off.none?
            when :works then "is off #{where} when all is sound: if it worked, it ran by itself" if off.all?
            end
          end

          def of_signal(said)
            return 'is a signal: it cannot run by itself' if said.word == :runs
            return if said.word != :low || in_its_states(@volts, said).any? { |volt| volt > Workings::MOVES_VOLT }

            "reads nothing #{said.key_state ? 'there' : 'in any key state'} when all is sound, and cannot read lower"
          end

          def in_its_states(of_watches, said) = of_watches[said.watch].then { |all| said.key_state ? [all[said.key_state]] : all }
        end
      end
    end
  end
end
