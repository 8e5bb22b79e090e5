# frozen_string_literal: true

module Server
  module Routes
    # What became of a write whose reply was lost.
    class Requests < Base
      post '/api/requests/:id/settlement' do
        allow!(:read)
        json(saved: Models::Request.saved?(id_param, person: person))
      end
    end
  end
end
