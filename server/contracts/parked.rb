# frozen_string_literal: true

module Server
  module Contracts
    # Since when a unit stands; null for one that runs.
    class Parked < Base
      json { required(:since).maybe(:date) }

      rule(:since).validate(:in_our_time)
    end
  end
end
