# frozen_string_literal: true

module Server
  module Contracts
    # Several things that will be done before a dawn, ticked at once.
    class EveningPlans < Base
      MOST = 200

      json do
        required(:ticks).array(:hash, min_size?: 1, max_size?: MOST) do
          required(:unit_id).value(Types::Uuid)
          required(:dawn).value(:date)
          required(:key).value(:string, included_in?: Wattomneum::ColdStart::Remedies::ROWS.keys)
        end
      end
    end
  end
end
