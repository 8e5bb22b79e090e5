# frozen_string_literal: true

module Server
  module Routes
    # Units: list, sheet, create, edit, retire, their readings as CSV, their batteries.
    class Units < Base
      get '/api/units' do
        allow!(:read)
        json(Presenters::UnitList.call(Queries::UnitList.new(asked!(Contracts::UnitFilter)).call))
      end

      get '/api/board.csv' do
        allow!(:read)
        attachment 'units.csv'
        content_type 'text/csv', charset: 'utf-8'
        Presenters::BoardCsv.call(Queries::UnitList.new(asked!(Contracts::UnitFilter)).all)
      end

      post '/api/units' do
        allow!(:edit_units)
        once(201, :sheet) { Models::Unit.establish(contract!(Contracts::NewUnit)) }
      end

      get '/api/sisters' do
        allow!(:read)
        named = asked!(Contracts::ClassNamed)
        asking = named[:unit] && find!(Models::Unit.dataset, named[:unit], 'unit')
        json(Presenters::SisterFacts.call(Queries::SisterFacts.new(Models::UnitClass.called(named[:make], named[:model]), unit: asking)))
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

      get '/api/units/:id/timeline' do
        allow!(:read)
        found = find!(Models::Unit.dataset.eager(:yard, :unit_class), id_param, 'unit')
        page = Queries::UnitTimeline.new(found, before: asked!(Contracts::TimelinePage)[:before])
        json(Presenters::UnitTimeline.call(page, system: found.core_system))
      end

      get '/api/units/:id/visit' do
        allow!(:read)
        found = find!(Models::Unit.dataset.eager(:yard), id_param, 'unit')
        visit = asked!(Contracts::OneVisit)
        told = Queries::UnitTimeline.readings(found, job_id: visit[:job], day: visit[:day])
        limits = Queries::FleetRules.new.limits
        readings = told.map { |one| Presenters::UnitTimeline.reading(one, limits) }
        json(Presenters::InItsWords.call({ readings: readings }, found.core_system))
      end

      get '/api/units/:id/readings.csv' do
        allow!(:read)
        found = unit
        content_type 'text/csv', charset: 'utf-8'
        attachment "#{found.number}-readings.csv"
        Presenters::ReadingsCsv.new(Queries::ReadingHistory.new(unit_id: found.id))
      end

      private

      def unit = find!(Models::Unit.dataset, id_param, 'unit')
      def sheet(about) = Presenters::UnitSheet.call(about.is_a?(String) ? Models::Unit.with_pk!(about) : about)
      def held = hold!(Models::Unit.dataset, id_param, 'unit')
    end
  end
end
