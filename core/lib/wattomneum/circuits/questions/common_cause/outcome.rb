# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # One way in which the whole machine may look, and what would make it look so.
        #   looks: of each watch in each key state; overall: of each watch; ways: that no list can tell apart
        Outcome = Struct.new(:looks, :overall, :ways) do
          # @return [Float] prior, relative to others
          def weight = @weight ||= ways.sum(&:weight)

          # @param said [Said]
          # @return [Symbol] how that thing looks, in the key state that is spoken of
          def look_at(said) = said.key_state ? looks[said.watch][said.key_state] : overall[said.watch]

          # @param said [Array<Said>]
          # @return [Float] log likelihood
          def log_likelihood(said) = said.sum { |one| Math.log(one.chance(look_at(one))) }
        end
      end
    end
  end
end
