# frozen_string_literal: true

module Server
  module Routes
    # Who is signed in, what they may do, and their own password.
    class Session < Base
      get '/api/session' do
        json(Presenters::Person.call(person))
      end

      put '/api/session/password' do
        once do
          changed = person.change_password(**contract!(Contracts::PasswordChange), now: Time.now.utc)
          env['rack.session'][SignIn::SINCE] = changed.sessions_from.to_f
          [200, Presenters::Person.call(changed)]
        end
      end
    end
  end
end
