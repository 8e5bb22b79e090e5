# frozen_string_literal: true

module Server
  module Routes
    # Batteries as individuals: those on the shelf, each through its life, corrections to what is known of one.
    class Batteries < Base
      get '/api/shelf' do
        allow!(:read)
        json(shelf)
      end

      post '/api/batteries' do
        allow!(:edit_batteries)
        once(201, :record) { Models::Battery.establish(contract!(Contracts::NewBattery), on: Time.now.utc.to_date) }
      end

      get '/api/batteries/:id' do
        allow!(:read)
        json(record(find!(Models::Battery.dataset, id_param, 'battery')))
      end

      patch '/api/batteries/:id' do
        allow!(:edit_batteries)
        once(200, :shown) do
          held.correct(contract!(Contracts::BatteryEdit)).tap { |one| Workers::JudgeAgain.enqueue(one.id) }
        end
      end

      post '/api/batteries/:id/checks' do
        allow!(:edit_batteries)
        once(201, :record) do
          held.tap { |battery| Models::ShelfCheck.note(battery, contract!(Contracts::NewShelfCheck), by: person) }
        end
      end

      post '/api/batteries/:id/scrap' do
        allow!(:edit_batteries)
        once(200, :record) { held.scrap(contract!(Contracts::WithReason)[:reason], at: Time.now.utc) }
      end

      post '/api/batteries/:id/keep' do
        allow!(:edit_batteries)
        once(200, :record) { held.keep }
      end

      private

      def held = hold!(Models::Battery.dataset, id_param, 'battery')
      def battery_of(about) = about.is_a?(String) ? Models::Battery.with_pk!(about) : about
      def shown(about) = Presenters::Battery.call(battery_of(about))
      def record(about) = Presenters::BatteryRecord.call(Queries::BatteryRecord.new(battery_of(about)))
      def shelf = Presenters::Shelf.call(Queries::Shelf.new, now: Time.now.utc, limits: Queries::FleetRules.new.limits)
    end
  end
end
