# frozen_string_literal: true

module Server
  module Routes
    # What is down, what is parked, what is temporary: a line a unit, by consequence.
    class Today < Base
      get '/api/today' do
        allow!(:read)
        polled(Presenters::Today.call(Queries::Today.new(now: Time.now.utc).call))
      end

      get '/api/due' do
        allow!(:read)
        json(Presenters::DueWork.call(Queries::DueWork.new(now: Time.now.utc, only: asked!(Contracts::DueFilter)[:kind]).call))
      end
    end
  end
end
