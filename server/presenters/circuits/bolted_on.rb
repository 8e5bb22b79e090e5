# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # What a unit makes of what is drawn for it: how it is grounded, and what the whole circuit takes batteries and starter from.
      module BoltedOn
        GROUNDINGS = { 'positive' => 'Positive ground: + is the live post here, the negative one, and - the grounded post',
                       'insulated' => 'Insulated return: the metal of the machine carries no current' }.freeze
        private_constant :GROUNDINGS

        # @param unit [Models::Unit]
        # @return [String, nil]
        def self.grounding(unit) = GROUNDINGS[unit.grounding]

        # @param found [Queries::LastCrankTest::Found]
        # @param day [Date] of the test in the unit's yard
        # @return [String]
        def self.call(found, day)
          figure = Wattomneum::Quantities::Figure
          "Cranks as it was tested on #{day.strftime('%-d %b %Y')} at #{figure.celsius(found.test.celsius)}: " \
            "#{figure.volt(found.test.posts_volt)} at the posts, #{figure.ampere(found.test.ampere)}"
        end
      end
    end
  end
end
