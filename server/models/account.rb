# frozen_string_literal: true

module Server
  # Rows of the database and what may be done with them.
  module Models
    # A person who signs in.
    class Account < Sequel::Model(:account)
    end
  end
end
