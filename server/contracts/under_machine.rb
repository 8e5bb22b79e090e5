# frozen_string_literal: true

module Server
  module Contracts
    # Whether somebody lies under the machine of a job: whoever says so, or another who has answered and is out.
    class UnderMachine < Base
      json do
        required(:somebody).value(:bool)
        optional(:person_id).value(:integer, gt?: 0, lteq?: Types::MOST.to_i)
      end

      rule(:person_id, :somebody) do
        key(:person_id).failure('says for themselves that they are under it') if values[:person_id] && values[:somebody]
      end
    end
  end
end
