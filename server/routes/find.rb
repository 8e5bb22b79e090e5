# frozen_string_literal: true

module Server
  module Routes
    # The one box that takes unit numbers, names, battery tags and job numbers.
    class Find < Base
      get '/api/find' do
        allow!(:read)
        json(found: Queries::Find.new(params['q'].to_s).call)
      end
    end
  end
end
