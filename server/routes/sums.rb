# frozen_string_literal: true

module Server
  module Routes
    # The calculators: core works them out, from what was typed.
    class Sums < Base
      get '/api/sums' do
        allow!(:read)
        json(Presenters::Sums.list)
      end

      get '/api/sums/:key' do
        allow!(:read)
        sheet = Wattomneum::Sums::Catalogue.fetch(params[:key])
        typed = params.slice(*sheet.inputs.map { |input| input['key'] }).transform_values(&:to_s)
        json(Presenters::Sums.answer(sheet, Wattomneum::Sums::Calculator.call(sheet, typed, limits: Models::LimitOverride.in_force)))
      end
    end
  end
end
