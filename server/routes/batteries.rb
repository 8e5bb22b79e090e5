# frozen_string_literal: true

module Server
  module Routes
    # Batteries as individuals: those on the shelf, and corrections to what is known of one.
    class Batteries < Base
      get '/api/batteries/loose' do
        allow!(:read)
        json(batteries: Models::Battery.loose.order(:tag).all.map { |battery| Presenters::Battery.call(battery) })
      end

      patch '/api/batteries/:id' do
        allow!(:edit_batteries)
        once(200, :shown) do
          hold!(Models::Battery.dataset, id_param, 'battery').correct(contract!(Contracts::BatteryEdit)).tap { |one| Workers::JudgeAgain.enqueue(one.id) }
        end
      end

      private

      def shown(about) = Presenters::Battery.call(about.is_a?(String) ? Models::Battery.with_pk!(about) : about)
    end
  end
end
