# frozen_string_literal: true

module Server
  module Contracts
    # What an engine did that was asked to stop in one way.
    class NewStopProof < Base
      # Nobody waits longer beside an engine that runs on (ours).
      MOST_SECONDS = 600.0

      json do
        required(:id).value(Types::Uuid)
        required(:device).value(Types::Uuid)
        required(:asked).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        required(:outcome).value(:string, included_in?: Models::StopProof::OUTCOMES)
        optional(:seconds).maybe(Types::Number, gteq?: 0.0, lteq?: MOST_SECONDS)
      end
    end
  end
end
