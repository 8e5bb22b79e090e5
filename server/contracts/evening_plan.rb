# frozen_string_literal: true

module Server
  module Contracts
    # One thing that will be done for a unit before a dawn, or will not.
    class EveningPlan < Base
      json do
        required(:dawn).value(:date)
        required(:key).value(:string, included_in?: Wattomneum::ColdStart::Remedies::ROWS.keys)
        required(:planned).value(:bool)
      end

      rule(:dawn).validate(:in_our_time)
    end
  end
end
