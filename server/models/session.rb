# frozen_string_literal: true

require 'digest'

module Server
  module Models
    # One person signed in at one device. It counts only while this row says so; the token itself is kept by the browser alone.
    class Session < Sequel::Model(:session)
      many_to_one :account, class: 'Server::Models::Account'
      SEEN_EVERY_SECONDS = 60
      DEVICE_CHARACTERS = 200

      dataset_module do
        # Neither ended, nor older than any may be, nor unused for too long.
        def running(now)
          where(ended_at: nil).where { begun_at > now - (Bounds[:session_age_hours] * 3600) }
                              .where { seen_at > now - (Bounds[:session_idle_hours] * 3600) }
        end
      end

      class << self
        # @param account [Account]
        # @param from [Hash] device and client_address, as the request tells them
        # @param now [Time]
        # @return [String] the token for the browser
        def begin_for(account, from:, now:)
          token = SecureRandom.urlsafe_base64(32)
          device = Text.shown(from[:device], DEVICE_CHARACTERS)
          create(account_id: account.id, token_digest: digest(token), device: device, client_address: from[:client_address],
                 begun_at: now, seen_at: now)
          token
        end

        # SQL: select session.*, account.* from session join account ... where token_digest = ? and <running>
        #
        # @param token [String, nil]
        # @param now [Time]
        # @return [Session, nil] with its account, which may sign in
        def of(token, now:)
          return if token.nil?

          found = where(token_digest: digest(token)).running(now).eager_graph(:account).all.first
          return if found.nil? || found.account.blocked?

          found.seen(now)
        end

        # @param account_id [Integer]
        # @param because [String]
        # @param except_id [String, nil] of the session that goes on
        def end_all(account_id, because:, now:, except_id: nil)
          where(account_id: account_id, ended_at: nil).exclude(id: except_id || SecureRandom.uuid)
                                                      .update(ended_at: now, ended_because: because)
        end

        private

        def digest(token) = Digest::SHA256.hexdigest(token)
      end

      # Noted once a minute: a session in use needs no write at each request.
      #
      # @return [Session]
      def seen(now)
        self.class.where(id: id).update(seen_at: now) if seen_at < now - SEEN_EVERY_SECONDS
        self
      end

      # @return [Session]
      def finish(because:, now:)
        self.class.where(id: id, ended_at: nil).update(ended_at: now, ended_because: because)
        self
      end
    end
  end
end
