# frozen_string_literal: true

require 'digest'

module Server
  module Models
    # A device at which somebody has signed in before: who tries there is told apart from a stranger who knows an e-mail. It opens nothing.
    class KnownDevice < Sequel::Model(:known_device)
      unrestrict_primary_key

      class << self
        # @param login [String] as it is looked up
        # @param token [String, nil] that the device brought along
        # @return [String, nil] what it is told by; nil for a device at which this person never signed in
        def of(login, token)
          return if token.nil?

          where(account_id: Account.where(email: login).select(:id), token_digest: digest(token)).get(:token_digest)
        end

        # @param account [Account] who has signed in
        # @param token [String, nil] that the device brought along
        # @param now [Time]
        # @return [String] the token that the device keeps
        def note(account, token, now:)
          token = SecureRandom.urlsafe_base64(32) unless token.to_s.match?(TOKEN)
          dataset.insert_conflict(target: %i[account_id token_digest], update: { seen_at: now })
                 .insert(account_id: account.id, token_digest: digest(token), seen_at: now)
          token
        end

        private

        def digest(token) = Digest::SHA256.hexdigest(token)
      end

      TOKEN = /\A[\w-]{43}\z/
      private_constant :TOKEN
    end
  end
end
