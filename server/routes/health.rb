# frozen_string_literal: true

module Server
  module Routes
    # Answers when web and database do.
    class Health < Base
      get '/health' do
        DB.get(1)
        json(ok: true, version: Wattomneum::VERSION)
      end
    end
  end
end
