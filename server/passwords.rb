# frozen_string_literal: true

require 'argon2'

module Server
  # Makes the stored form of a password, as the sign-in checks it.
  module Passwords
    # @param password [String]
    # @return [String]
    def self.digest(password) = Argon2::Password.new(**CONFIG.argon_cost).create(password)
  end
end
