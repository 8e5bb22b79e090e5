# frozen_string_literal: true

module Server
  module Contracts
    # Somebody's own new password, with the one they have now.
    class PasswordChange < Base
      json do
        required(:current).value(:string, max_size?: SHORT_TEXT)
        required(:fresh).value(:string, max_size?: SHORT_TEXT)
      end

      rule(:fresh).validate(:long_enough)
    end
  end
end
