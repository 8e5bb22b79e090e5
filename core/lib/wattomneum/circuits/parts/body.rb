# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # Frame, engine block, cab: metal that carries return current and is taken as one point.
      class Body < Part
        METAL = 'metal'

        def pins = [METAL]
        def shares_pins? = true
        def joins? = true
        def conductor? = true
      end
    end
  end
end
