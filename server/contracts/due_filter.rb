# frozen_string_literal: true

module Server
  module Contracts
    # Which kind of due work is asked for in full.
    class DueFilter < Base
      params { optional(:kind).value(:string, included_in?: Wattomneum::Readings::Due::LIMITS.keys) }
    end
  end
end
