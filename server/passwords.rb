# frozen_string_literal: true

require 'argon2'

module Server
  # The stored form of a password, as the sign-in makes and checks it.
  module Passwords
    LEAST_LETTERS = 10
    TOO_SHORT = "needs #{LEAST_LETTERS} letters or more".freeze

    # @param password [String]
    # @return [String]
    def self.digest(password) = Argon2::Password.new(**CONFIG.argon_cost).create(password)

    # @param password [String]
    # @param digest [String, nil]
    # @return [Boolean]
    def self.match?(password, digest) = !digest.nil? && Argon2::Password.verify_password(password, digest)
  end
end
