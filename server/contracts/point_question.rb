# frozen_string_literal: true

module Server
  module Contracts
    # What a sound circuit would show between two points.
    class PointQuestion < Base
      json(NewReading::PROBE)
    end
  end
end
