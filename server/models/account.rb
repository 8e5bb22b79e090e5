# frozen_string_literal: true

module Server
  # Rows of the database and what may be done with them.
  module Models
    # A person who signs in.
    class Account < Sequel::Model(:account)
      # As the sign-in reads them: only who is open gets in.
      OPEN = 2
      BLOCKED = 3
      EMAIL_TAKEN = 'somebody has this e-mail already'
      LAST_LEAD = 'There must be a lead who can sign in: make another one first'

      dataset_module do
        def by_name = order(:name, :id)
        def may_sign_in = where(status_id: OPEN)
        # Always in this order, so that two leads who give up the role at once wait for each other.
        def leads_held = where(role: 'lead', status_id: OPEN).order(:id).for_update
      end

      class << self
        # @param input [Hash] of Contracts::NewPerson
        # @return [Account]
        # @raise [Refusals::InvalidInput] if the e-mail is somebody's
        def add(input)
          Passwords.check!(input[:password], about: input.values_at(:email, :name))
          # The hash goes by itself: a statement that may fail would leave it in the database's log.
          with_own_email { create(**input.except(:password)) }.update(password_hash: Passwords.digest(input[:password]))
        end

        # @param text [String] an e-mail as somebody typed it
        # @return [String] as it is kept and looked up
        def login_of(text) = text.strip.downcase

        # @yield a write that may hit an e-mail that is taken
        def with_own_email(&write)
          db.transaction(savepoint: true, &write)
        rescue Sequel::UniqueConstraintViolation
          raise Refusals::InvalidInput.new('Another person has this e-mail', fields: { 'email' => [EMAIL_TAKEN] })
        end
      end

      def email=(text)
        super(self.class.login_of(text))
      end

      # @return [Boolean]
      def blocked? = status_id != OPEN

      # @param input [Hash] of Contracts::PersonEdit
      # @param now [Time]
      # @return [Account]
      # @raise [Refusals::InvalidInput] if nobody would be left to lead, or the e-mail is somebody's
      def edit(input, now:)
        changes = input.slice(:name, :email, :role)
        changes[:status_id] = input[:blocked] ? BLOCKED : OPEN if input.key?(:blocked)
        keep_a_lead(changes)
        before = role
        self.class.with_own_email { update(changes) }
        Passwords.check!(input[:password], about: [email, name]) if input[:password]
        update(password_hash: Passwords.digest(input[:password])) if input[:password]
        because = why_sessions_end(input, before)
        Session.end_all(id, because: because, now: now) if because
        self
      end

      # @param current [String]
      # @param fresh [String]
      # @param keep [Session] the one that goes on; every other ends
      # @param now [Time]
      # @return [Account]
      # @raise [Refusals::InvalidInput] if the current one is wrong, or the fresh one easy to guess
      def change_password(current:, fresh:, keep:, now:)
        refuse_wrong(current)
        Passwords.check!(fresh, about: [email, name], field: 'fresh')
        update(password_hash: Passwords.digest(fresh))
        Session.end_all(id, because: 'password changed', now: now, except_id: keep.id)
        self
      end

      # A lead lets somebody in whom wrong tries, their own or a stranger's, keep out.
      #
      # @param now [Time]
      # @return [Account]
      def release(now:)
        SignInTry.release(email)
        update(released_until: now + (Bounds[:release_minutes] * 60))
        self
      end

      private

      def refuse_wrong(current)
        return if Passwords.match?(current, password_hash)

        raise Refusals::InvalidInput.new('The password you have now is not that one', fields: { 'current' => ['is not your password'] })
      end

      def why_sessions_end(input, role_before)
        return 'blocked' if input[:blocked]
        return 'new password' if input[:password]

        'new role' if role != role_before
      end

      def keep_a_lead(changes)
        leads_after = changes.fetch(:role, role) == 'lead' && changes.fetch(:status_id, status_id) == OPEN
        return if leads_after || role != 'lead' || self.class.leads_held.all.any? { |one| one.id != id }

        raise Refusals::InvalidInput.new(LAST_LEAD, fields: { 'role' => ['is the last lead'] })
      end
    end
  end
end
