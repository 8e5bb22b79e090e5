# frozen_string_literal: true

module Server
  module Routes
    # Units: list, sheet, create, edit, retire, their readings as CSV, their batteries.
    class Units < Base
      get '/api/units' do
        allow!(:read)
        json(units: Models::Unit.standing(params['retired'] == 'true').listed.map { |row| Presenters::UnitLine.call(row) },
             yards: Models::Yard.order(:name).all.map { |yard| { id: yard.id, name: yard.name } })
      end

      post '/api/units' do
        allow!(:edit_units)
        once(201, :sheet) { Models::Unit.establish(contract!(Contracts::NewUnit)) }
      end

      get '/api/units/:id' do
        allow!(:read)
        json(sheet(unit))
      end

      patch '/api/units/:id' do
        allow!(:edit_units)
        once(200, :sheet) { held.edit(contract!(Contracts::UnitEdit)) }
      end

      post '/api/units/:id/retire' do
        allow!(:retire_units)
        once(200, :sheet) { held.retire(at: Time.now.utc) }
      end

      post '/api/units/:id/return' do
        allow!(:retire_units)
        once(200, :sheet) { held.bring_back }
      end

      post '/api/units/:id/fittings' do
        allow!(:edit_batteries)
        once(201, :sheet) { held.fit_battery(contract!(Contracts::NewFitting), at: Time.now.utc) }
      end

      post '/api/units/:id/fittings/:position/take-off' do
        allow!(:edit_batteries)
        once(200, :sheet) { held.take_off(params[:position], at: Time.now.utc) }
      end

      get '/api/units/:id/readings.csv' do
        allow!(:read)
        found = unit
        content_type 'text/csv', charset: 'utf-8'
        attachment "#{found.number}-readings.csv"
        Presenters::ReadingsCsv.call(Queries::ReadingHistory.new(unit_id: found.id).call)
      end

      private

      def unit = find!(Models::Unit.dataset, id_param, 'unit')
      def sheet(about) = Presenters::UnitSheet.call(about.is_a?(String) ? Models::Unit.with_pk!(about) : about)
      def held = hold!(Models::Unit.dataset, id_param, 'unit')
    end
  end
end
