# frozen_string_literal: true

module Server
  module Contracts
    # What stands at the head of a sheet that is written; more: key states, zones, places, loops, stops and links as a sheet has them.
    class DraftHead < Base
      # States, zones, places, loops, stops and links of the largest sheet that ships take 1,500.
      MOST_LETTERS = 20_000

      json do
        required(:head_version).value(:integer)
        optional(:key).value(Types::Text, format?: /\A[a-z0-9][a-z0-9_]{0,60}\z/)
        optional(:title).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        optional(:system_volt).value(:integer, included_in?: Wattomneum::Units::ElectricalSystem::SYSTEM_VOLTS)
        optional(:reference).maybe(Types::Text, max_size?: 80)
        optional(:note).maybe(Types::Text, max_size?: LONG_TEXT)
        optional(:more).maybe(:string, max_size?: MOST_LETTERS)
      end
    end
  end
end
