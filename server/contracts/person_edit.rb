# frozen_string_literal: true

module Server
  module Contracts
    # What changes about a person; what is left out stays.
    class PersonEdit < Base
      json do
        optional(:name).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        optional(:email).value(Types::Email)
        optional(:role).value(:string, included_in?: Policy::ROLES)
        optional(:password).value(:string, max_size?: SHORT_TEXT)
        optional(:blocked).value(:bool)
      end

      rule(:password).validate(:long_enough)
    end
  end
end
