# frozen_string_literal: true

module Wattomneum
  module Circuits
    # A sheet on its way to a picture: what is drawn of it, which pin looks up and which down, and which way each wire runs. Where things come to
    # lie is worked out elsewhere, from this.
    module Drawing
      # @param node [String] of a plug, "X5:a/3"
      # @return [String] what it is plugged into, "X5:b/3"
      def self.other_half(node)
        id, pin = node.split(':', 2)
        half, way = pin.split('/', 2)
        "#{id}:#{half == 'a' ? 'b' : 'a'}/#{way}"
      end
    end
  end
end
