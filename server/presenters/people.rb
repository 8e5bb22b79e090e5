# frozen_string_literal: true

module Server
  module Presenters
    # Who may sign in, as a lead sees it.
    module People
      # @param accounts [Array<Models::Account>]
      def self.call(accounts)
        { people: accounts.map { |one| { id: one.id, name: one.name, email: one.email, role: one.role, blocked: one.blocked? } } }
      end
    end
  end
end
