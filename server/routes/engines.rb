# frozen_string_literal: true

module Server
  module Routes
    # The engine of a unit beside its loops: what is done and seen on kill circuit, plugs and cap, and the sums that are kept on it.
    class Engines < Base
      get '/api/units/:id/engine' do
        allow!(:read)
        polled(shown(id_param))
      end

      post '/api/units/:id/engine-entries' do
        allow!(:take_reading)
        once(201, :shown) do
          engine = Queries::Engine.new(hold!(Models::Unit.dataset, id_param, 'unit'))
          input = contract!(Contracts::NewEngineEntry)
          Queries::Machines.asked_by(person) { Models::EngineEntry.tell(engine, input, by: person) }
          engine.unit
        end
      end

      post '/api/engine-entries/:id/strike' do
        allow!(:take_reading)
        once(200, :shown) do
          entry = hold!(Models::EngineEntry.dataset, id_param, 'entry').strike(contract!(Contracts::WithReason)[:reason], by: person)
          Models::Unit.with_pk!(entry.unit_id)
        end
      end

      private

      def shown(about)
        unit = about.is_a?(String) ? unit_of(about) : about
        Queries::Machines.asked_by(person) { Presenters::Engine.call(Queries::Engine.new(unit)) }
      end

      # By its own id, or by that of an entry of it.
      def unit_of(id)
        Models::Unit.with_pk(id) || Models::Unit.with_pk(Models::EngineEntry.where(id: id).get(:unit_id)) || raise(Refusals::NotFound, 'No such unit')
      end
    end
  end
end
