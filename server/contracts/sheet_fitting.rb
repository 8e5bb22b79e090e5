# frozen_string_literal: true

module Server
  module Contracts
    # Which sheet version goes onto a unit.
    class SheetFitting < Base
      json { required(:version_id).value(Types::Uuid) }
    end
  end
end
