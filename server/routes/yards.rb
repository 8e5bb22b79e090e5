# frozen_string_literal: true

module Server
  module Routes
    # Yards and the time zones they tell time in.
    class Yards < Base
      get '/api/yards' do
        allow!(:manage_yards)
        json(yards)
      end

      post '/api/yards' do
        allow!(:manage_yards)
        once(201, :yards) do
          Models::Yard.add(contract!(Contracts::YardFields))
          nil
        end
      end

      patch '/api/yards/:id' do
        allow!(:manage_yards)
        once(200, :yards) do
          hold!(Models::Yard.dataset, id_param, 'yard').edit(contract!(Contracts::YardFields))
          nil
        end
      end

      private

      def yards = Presenters::Yards.call(Models::Yard.order(:name).all, Models::Yard.time_zones)
    end
  end
end
