# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # What the whole circuit of a unit takes batteries and starter from.
      module BoltedOn
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
