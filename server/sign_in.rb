# frozen_string_literal: true

module Server
  # Sign-in and sign-out as JSON, in front of everything else.
  class SignIn < Roda
    SAME_ANSWER = 'E-mail or password is wrong'
    MOST_FAILURES = 12
    # In the session: when it began, seconds since 1970. Blocking and new passwords end those begun before.
    SINCE = 'since'

    plugin :middleware
    plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
    plugin :rodauth, json: :only do
      enable :login, :logout, :json, :argon2, :lockout
      db DB
      accounts_table :account
      login_column :email
      normalize_login { |login| Models::Account.login_of(login.to_s) }
      account_password_hash_column :password_hash
      require_bcrypt? false
      require_mail? false
      unlock_account_route nil
      unlock_account_request_route nil
      max_invalid_logins MOST_FAILURES
      account_lockouts_deadline_interval(minutes: 15)
      login_route 'api/sign-in'
      logout_route 'api/sign-out'
      hmac_secret CONFIG.session_secret
      domain 'localhost'
      account_status_column :status_id
      skip_status_checks? false
      after_login { session[SINCE] = Time.now.to_f.ceil(3) }
      password_hash_cost CONFIG.argon_cost
      no_matching_login_message SAME_ANSWER
      invalid_password_message SAME_ANSWER
      invalid_password_error_status 401
      no_matching_login_error_status 401
      login_error_flash SAME_ANSWER
      lockout_error_status 403
      already_logged_in { nil }
      # The same field and text for both failures, so that an answer does not tell which accounts exist.
      auth_class_eval do
        def throw_error_status(status, _field, error) = super(status, login_param, error)
        def throw_error_reason(reason, status, _field, message) = super(reason, status, login_param, message)
        def set_error_reason(_reason) = nil # rubocop:disable Naming/AccessorMethodName -- the sign-in library's own name
      end
    end

    route do |r|
      env['rodauth'] = rodauth
      r.rodauth
    end
  end
end
