# frozen_string_literal: true

module Server
  module Models
    # A reading taken out of the reckoning; the reading itself stays.
    class Withdrawal < Sequel::Model(:withdrawal)
      unrestrict_primary_key
    end
  end
end
