# frozen_string_literal: true

module Wattomneum
  # A label as it stands inside a sentence: "Battery A" there is "battery A", while "ECU supply" and "B+ wire" keep their capitals.
  module Wording
    # @param label [String]
    # @return [String]
    def self.inside(label) = label.sub(/\A[A-Z](?=[a-z])/, &:downcase)
  end
end
