# frozen_string_literal: true

module Server
  module Contracts
    # Whether somebody lies under the machine of a job.
    class UnderMachine < Base
      json do
        required(:somebody).value(:bool)
      end
    end
  end
end
