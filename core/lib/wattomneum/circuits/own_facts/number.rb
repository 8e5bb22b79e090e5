# frozen_string_literal: true

module Wattomneum
  module Circuits
    class OwnFacts
      # A number as it is typed.
      module Number
        # @param text [String]
        # @param label [String] what it is, for the objection
        # @return [Numeric]
        # @raise [InvalidQuantityError]
        def self.of(text, label)
          number = Notation::Number.read(text)
          raise InvalidQuantityError, "#{label} is a number, got \"#{text}\": write digits, as in 12.6" if number.nil?

          number == number.to_i ? number.to_i : number
        end
      end
    end
  end
end
