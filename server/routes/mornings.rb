# frozen_string_literal: true

module Server
  module Routes
    # The coming night, how cold it gets in a yard, and how units started at dawn.
    class Mornings < Base
      get '/api/tonight' do
        allow!(:read)
        polled(tonight)
      end

      get '/api/tonight/proposal' do
        allow!(:read)
        asked = asked!(Contracts::MinutesLeft)
        found = Queries::Tonight.new(now: Time.now.utc, yard_id: asked[:yard]).call
        without = asked.fetch(:without, '').split(',')
        json(Presenters::Proposal.call(Queries::Proposal.new(found, minutes: asked[:minutes], without: without), found.dawns))
      end

      put '/api/tonight/plan' do
        allow!(:say_morning)
        once(200, :tonight) do
          Models::RemedyPlan.tick_all(contract!(Contracts::EveningPlans)[:ticks], by: person, now: Time.now.utc)
          nil
        end
      end

      get '/api/units/:id/start' do
        allow!(:read)
        json(start(find!(Models::Unit.dataset, id_param, 'unit')))
      end

      put '/api/yards/:id/night' do
        allow!(:say_morning)
        once(200, :tonight) do
          Models::Night.say(find!(Models::Yard.dataset, id_param, 'yard'), contract!(Contracts::NightFields))
          nil
        end
      end

      put '/api/units/:id/parked' do
        allow!(:say_morning)
        once(200, :start) do
          hold!(Models::Unit.dataset, id_param, 'unit').park(contract!(Contracts::Parked)[:since], today: today_at_its_yard)
        end
      end

      post '/api/units/:id/start-changes' do
        allow!(:say_morning)
        once(201, :start) do
          unit = find!(Models::Unit.dataset, id_param, 'unit')
          Models::StartChange.say(unit, contract!(Contracts::NewStartChange), by: person, today: today_at_its_yard)
          unit
        end
      end

      put '/api/units/:id/plan' do
        allow!(:say_morning)
        once(200, :tonight) do
          unit = find!(Models::Unit.dataset, id_param, 'unit')
          Models::RemedyPlan.tick(unit, contract!(Contracts::EveningPlan), by: person, now: Time.now.utc)
          nil
        end
      end

      post '/api/mornings' do
        allow!(:say_morning)
        once(201, :tonight) do
          said = contract!(Contracts::NewMornings)
          Models::Morning.enter(said[:entries], dawn: said[:dawn], by: person)
          nil
        end
      end

      private

      def start(unit) = Presenters::UnitStart.call(Queries::UnitStart.new(unit.is_a?(String) ? Models::Unit.with_pk!(unit) : unit, now: Time.now.utc))
      def today_at_its_yard = Models::Yard.day_of(Time.now.utc, find!(Models::Unit.dataset, id_param, 'unit').yard.time_zone)
      def tonight = Presenters::Tonight.call(Queries::Tonight.new(now: Time.now.utc).call)
    end
  end
end
