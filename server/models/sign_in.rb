# frozen_string_literal: true

module Server
  module Models
    # From an e-mail and a password to a session. Everybody gets the same answer in the same time, whether the e-mail is known,
    # blocked or nobody's.
    module SignIn
      WRONG = 'E-mail or password is wrong'

      # @param login [String]
      # @param password [String]
      # @param from [Hash] device, client_address, and the token that the device brought along
      # @param now [Time]
      # @return [Array(Account, String, String)] who it is, the token of their session, and that of their device
      # @raise [Refusals::WrongPassword, Refusals::Locked, Refusals::InLine]
      def self.call(login:, password:, from:, now:)
        login = Account.login_of(login)
        tried = { login: login, from: from }
        Passwords.in_turn do
          SignInTry.note(**tried, now: now)
          digest = Account.may_sign_in.where(email: login).get(:password_hash)
          raise Refusals::WrongPassword, WRONG unless Passwords.match?(password, digest)

          SignInTry.forget(**tried)
          begin_session(login, digest, from, now)
        end
      end

      # The account is held for the time: who is blocked or gets a new password at this moment has no session left over.
      def self.begin_session(login, digest, from, now)
        DB.transaction do
          account = Account.may_sign_in.where(email: login, password_hash: digest).for_share.first
          raise Refusals::WrongPassword, WRONG if account.nil?

          [account, Session.begin_for(account, from: from, now: now), KnownDevice.note(account, from[:token], now: now)]
        end
      end
      private_class_method :begin_session
    end
  end
end
