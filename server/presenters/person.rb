# frozen_string_literal: true

module Server
  # JSON shapes; a model never renders itself.
  module Presenters
    # Who is signed in.
    module Person
      def self.call(account)
        { id: account.id, name: account.name, email: account.email, role: account.role, may: Policy.actions_of(account.role) }
      end
    end
  end
end
