# frozen_string_literal: true

module Server
  module Routes
    # Signing in and out, who is signed in and where, and one's own password.
    class Session < Base
      post '/api/sign-in' do
        input = contract!(Contracts::Credentials, most_bytes: Bounds[:anonymous_body_bytes])
        account, token, device = Models::SignIn.call(**input, from: sender, now: Time.now.utc)
        # Whoever sat here before sits here no more.
        session_here&.finish(because: 'somebody signed in here', now: Time.now.utc)
        SessionCookie.give(response, token)
        SessionCookie.give_device(response, device)
        json(Presenters::Person.call(account))
      end

      # Whoever is signed out already is signed out.
      post '/api/sign-out' do
        session_here&.finish(because: 'signed out', now: Time.now.utc)
        SessionCookie.take_back(response)
        json(signed_out: true)
      end

      get '/api/session' do
        json(who)
      end

      put '/api/session/password' do
        person
        # Counted by itself: what is refused takes nothing of it back.
        Models::SignInTry.of_change(person, now: Time.now.utc) do
          once(200, :who) do
            Passwords.in_turn { person.change_password(**contract!(Contracts::PasswordChange), keep: session_here, now: Time.now.utc) }
            nil
          end
        end
      end

      get '/api/sessions' do
        person
        json(own_sessions)
      end

      post '/api/sessions/:id/end' do
        person
        once(200, :own_sessions) do
          found = Models::Session.first(id: id_param, account_id: person.id) || raise(Refusals::NotFound, 'No such session of yours')
          found.finish(because: 'ended from another device', now: Time.now.utc)
          nil
        end
      end

      private

      def who = Presenters::Person.call(person)
      def sender = { device: request.user_agent, client_address: Proxies.client_address(request.env), token: SessionCookie.device_token(request) }

      def own_sessions
        running = Models::Session.where(account_id: person.id).running(Time.now.utc).order(Sequel.desc(:seen_at)).all
        Presenters::Sessions.call(running, session_here.id)
      end
    end
  end
end
