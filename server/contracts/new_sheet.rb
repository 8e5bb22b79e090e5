# frozen_string_literal: true

module Server
  module Contracts
    # A sheet as a text, with its wires in it or as a table beside it.
    class NewSheet < Base
      json do
        required(:content).value(:string, :filled?, max_size?: 2_000_000)
        optional(:wires_csv).maybe(:string, max_size?: 2_000_000)
      end
    end
  end
end
