# frozen_string_literal: true

module Server
  module Routes
    # Limits and schools: what everything is judged by, and what the fleet chose where good people differ.
    class HouseRules < Base
      get '/api/house-rules' do
        allow!(:read)
        json(house_rules)
      end

      put '/api/schools/:question' do
        allow!(:set_house_rules)
        once(200, :house_rules) do
          Models::SchoolChoice.choose(params[:question], contract!(Contracts::SchoolAnswer)[:answer], by: person)
          nil
        end
      end

      put '/api/limits/:id' do
        allow!(:set_house_rules)
        once(200, :house_rules) do
          Models::LimitOverride.set(params[:id], **contract!(Contracts::LimitSetting), by: person)
          nil
        end
      end

      post '/api/limits/:id/as-shipped' do
        allow!(:set_house_rules)
        once(200, :house_rules) do
          Models::LimitOverride.clear(params[:id])
          nil
        end
      end

      private

      def house_rules = Presenters::HouseRules.call(Queries::FleetRules.new)
    end
  end
end
