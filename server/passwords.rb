# frozen_string_literal: true

require 'argon2'
require 'concurrent/atomic/semaphore'

module Server
  # The stored form of a password, as the sign-in makes and checks it.
  module Passwords
    LEAST_LETTERS = 10
    TOO_SHORT = "needs #{LEAST_LETTERS} letters or more".freeze
    IN_LINE = 'Others are signing in just now: wait a moment, it is tried again by itself'
    PLACES = Concurrent::Semaphore.new(Bounds[:password_checks_at_once])
    private_constant :PLACES

    # Only a few at once; who finds no place holds up nothing, but is told to ask again.
    #
    # @yieldreturn [Object] what the block made
    # @raise [Refusals::InLine]
    def self.in_turn
      raise Refusals::InLine.new(IN_LINE, retry_after_seconds: Bounds[:wait_in_line_seconds]) unless PLACES.try_acquire(1)

      begin
        yield
      ensure
        PLACES.release
      end
    end

    # @param password [String]
    # @return [String]
    def self.digest(password) = Argon2::Password.new(**CONFIG.argon_cost).create(password)

    # Takes as long where there is nothing to compare with.
    #
    # @param password [String]
    # @param digest [String, nil]
    # @return [Boolean]
    def self.match?(password, digest)
      matches = Argon2::Password.verify_password(password, digest || NOBODYS)
      matches && !digest.nil?
    end

    NOBODYS = digest(SecureRandom.hex(32)).freeze
    private_constant :NOBODYS
  end
end
