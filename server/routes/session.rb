# frozen_string_literal: true

module Server
  module Routes
    # Who is signed in, and what they may do.
    class Session < Base
      get '/api/session' do
        json(Presenters::Person.call(person))
      end
    end
  end
end
