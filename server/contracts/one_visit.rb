# frozen_string_literal: true

module Server
  module Contracts
    # Which visit of a unit: the day, and the job if there was one.
    class OneVisit < Base
      params do
        required(:day).value(:date)
        optional(:job).value(Types::Uuid)
      end

      rule(:day).validate(:in_our_time)
    end
  end
end
