# frozen_string_literal: true

module Wattomneum
  module Circuits
    # A place a probe can touch: a pin, half of a plug, a post, a stud, metal, or the ring of one wire on a stud.
    #   node: its name in the circuit now; item_uuid and pin: what it is for ever, whatever it is renumbered to; label: for people
    Point = Struct.new(:node, :item_uuid, :pin, :label, :zone, keyword_init: true)
  end
end
