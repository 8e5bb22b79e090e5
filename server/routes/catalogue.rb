# frozen_string_literal: true

module Server
  module Routes
    # Words and lists of the trade that screens choose from.
    class Catalogue < Base
      get '/api/catalogue' do
        allow!(:read)
        json(Presenters::Catalogue.call)
      end
    end
  end
end
