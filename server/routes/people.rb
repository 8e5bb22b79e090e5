# frozen_string_literal: true

module Server
  module Routes
    # People who sign in: a lead adds them, changes their role, blocks them, gives a new password.
    class People < Base
      get '/api/people' do
        allow!(:manage_people)
        json(people)
      end

      post '/api/people' do
        allow!(:manage_people)
        once(201, :people) do
          Passwords.in_turn { Models::Account.add(contract!(Contracts::NewPerson)) }
          nil
        end
      end

      patch '/api/people/:id' do
        allow!(:manage_people)
        once(200, :people) do
          Passwords.in_turn { account.edit(contract!(Contracts::PersonEdit), now: Time.now.utc) }
          nil
        end
      end

      # Whom wrong tries keep out.
      post '/api/people/:id/release' do
        allow!(:manage_people)
        once(200, :people) do
          account.release(now: Time.now.utc)
          nil
        end
      end

      private

      def people = Presenters::People.call(Models::Account.by_name.all)

      def account
        raise Refusals::NotFound, 'No such person' unless params[:id].match?(/\A\d{1,15}\z/)

        find!(Models::Account.dataset, params[:id].to_i, 'person')
      end
    end
  end
end
