# frozen_string_literal: true

require 'digest'

module Wattomneum
  module Circuits
    module Questions
      # What one thing explains what is dead, weak or runs by itself, and leaves alone what works: a crank-but-no-fuel machine with every
      # injector code set is one missing ground, not nine parts. Every wire and part open, with too many ohms, shorted to ground.
      #
      # Priors are base rates of the kinds, more in exposed zones (core/data/element_rates.yml, fault_kinds.yml).
      class CommonCause
        # Another one where another table would be worked out of the same circuit: the kinds of faults, and how it is laid out.
        SIGNATURE = Digest::SHA256.hexdigest([DataFile.load('fault_kinds'), 1].to_s)

        # @param settled [Solving::SettledStates] the sound machine
        # @param bytes [String, nil] as dump gave them, for the same circuit
        def initialize(settled, bytes: nil)
          @settled = settled
          @circuit = settled.circuit
          @rows = Strengths.read(bytes, @circuit, ways.effects.size) if bytes
        end

        # @return [Boolean] whether explain answers at once
        def known? = !@rows.nil?

        # @return [Integer] how much there is to work out
        def total = ways.effects.size

        # The long part of the work; what was done when it was more than is allowed at once is kept.
        #
        # @yieldparam done [Integer] of total
        # @return [self]
        # @raise [OverBudgetError] if it is more than is allowed at once
        def work_out(&)
          @rows ||= strengths.all(&)
          self
        end

        # @return [String] what was worked out, to be kept
        def dump = Strengths.dump(work_out && @rows)

        # @param said [Array<Said>] by Said.all
        # @return [Explanation] of what tells something
        # @raise [InvalidQuantityError] if nothing of it that is the matter does
        def explain(said)
          idle = SaysNothing.new(@circuit, work_out && @rows.first).among(said)
          left = said - idle.map(&:said)
          raise InvalidQuantityError.new(idle.map { |note| said_of(note) }.join('; '), field: 'dead') if left.none?(&:bad?)

          Explanation.new(circuit: @circuit, outcomes: outcomes, said: left, says_nothing: idle)
        end

        private

        def said_of(note) = "#{@circuit.watches[note.said.watch].label} #{note.because}"
        def ways = @ways ||= Ways.new(@circuit)
        def strengths = @strengths ||= Strengths.new(@settled, ways.effects)

        # What looks the same is one outcome; what nobody sees is none.
        def outcomes
          @outcomes ||= begin
            sound, *others = work_out && @rows
            looks = Looks.new(@circuit, sound)
            nothing = looks.of(sound)
            seen = others.map { |row| looks.of(row) }
            groups = ways.all.group_by { |way| seen[way.effect] }.except(nothing)
            groups.map { |look, same| Outcome.new(look, look.each_with_index.map { |one, watch| looks.overall(watch, one) }, same) }
          end
        end
      end
    end
  end
end
