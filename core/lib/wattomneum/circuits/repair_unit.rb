# frozen_string_literal: true

module Wattomneum
  module Circuits
    # What is mended as one: a wire, a ring, the pin of a plug, a relay; solenoid, motor and the link between them are one starter.
    #   key: "wire 8", "K11", "starter"; kind: a key of core/data/repair_units.yml; item_uuids: components and wires in it
    RepairUnit = Struct.new(:key, :label, :kind, :item_uuids, :zone, :minutes, :cautions, :laddered, keyword_init: true)
  end
end
