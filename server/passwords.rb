# frozen_string_literal: true

require 'argon2'
require 'zxcvbn'
require 'concurrent/atomic/semaphore'

module Server
  # The stored form of a password, as the sign-in makes and checks it.
  module Passwords
    LEAST_LETTERS = 10
    TOO_SHORT = "needs #{LEAST_LETTERS} letters or more".freeze
    # Powers of ten of guesses, with the words and names that people use tried first (Wheeler 2016); a name with a year behind it takes 8.3.
    LEAST_STRENGTH = 9
    # More of it is not looked at: it makes no password weaker.
    MOST_LETTERS_LOOKED_AT = 72
    EASY = 'is easy to guess: three or four words that have nothing to do with each other are not'
    HOUSE = %w[wattomneum].freeze
    private_constant :LEAST_STRENGTH, :MOST_LETTERS_LOOKED_AT, :EASY, :HOUSE
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

    # @param password [String] long enough
    # @param about [Array<String>] what anybody knows of whose it is
    # @param field [String] where it was typed
    # @return [void]
    # @raise [Refusals::InvalidInput] if it is easy to guess
    def self.check!(password, about:, field: 'password')
      known = about.flat_map { |text| [text, *text.split(/[^[:alnum:]]+/)] } + HOUSE
      strength = Zxcvbn.zxcvbn(password.unicode_normalize(:nfkc)[0, MOST_LETTERS_LOOKED_AT],
                               known.reject(&:empty?).map(&:downcase)).fetch('guesses_log10')
      raise Refusals::InvalidInput.new("This password #{EASY}", fields: { field => [EASY] }) if strength < LEAST_STRENGTH
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
