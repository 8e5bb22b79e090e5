# frozen_string_literal: true

module Server
  module Contracts
    # A person who is to sign in, with the first password.
    class NewPerson < Base
      json do
        required(:name).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        required(:email).value(Types::Email)
        required(:role).value(:string, included_in?: Policy::ROLES)
        required(:password).value(:string, max_size?: SHORT_TEXT)
      end

      rule(:password).validate(:long_enough)
    end
  end
end
