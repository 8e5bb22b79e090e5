# frozen_string_literal: true

module Server
  module Contracts
    # Who wants to sign in, and with what.
    class Credentials < Base
      json do
        required(:login).value(:string, :filled?, max_size?: SHORT_TEXT)
        required(:password).value(:string, :filled?, max_size?: SHORT_TEXT)
      end
    end
  end
end
