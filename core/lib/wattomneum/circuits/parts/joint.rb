# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # A splice, a stud or a ground point: every wire has its own ring or strand in it, so that one can be bad and not the
      # others. A ground point stands on a body.
      class Joint < Part
        RING_OHM = 0.0003

        def pins = [MIDDLE]
        def joint? = true
        def shares_pins? = true
        def conductor? = true

        MIDDLE = 'joint'

        def branches
          body = fields['body'] or return []
          [PartBranch.new(from: node(MIDDLE), to: "#{body}:#{Body::METAL}", ohm: number('ohm', RING_OHM), name: 'face to the metal')]
        end

        def ring_word = kind == 'splice' ? 'strand' : 'ring'

        # @param wire [Wire]
        # @return [PartBranch, nil] the ring or strand of one wire
        def ring(wire, pin)
          return unless pin == MIDDLE

          PartBranch.new(from: node(wire.number), to: node(MIDDLE), ohm: number('ring_ohm', RING_OHM), name: "wire #{wire.number}")
        end
      end
    end
  end
end
