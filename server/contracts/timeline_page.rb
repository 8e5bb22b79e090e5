# frozen_string_literal: true

module Server
  module Contracts
    # Where a page of a unit's past goes on.
    class TimelinePage < Base
      params do
        optional(:before).value(:time)
      end

      rule(:before).validate(:in_our_time)
    end
  end
end
