# frozen_string_literal: true

module Server
  module Routes
    # Defects seen on the way and not mended.
    class Notices < Base
      post '/api/units/:id/notices' do
        allow!(:report_fault)
        once(201, :sheet) do
          unit = hold!(Models::Unit.dataset, id_param, 'unit')
          Models::Notice.create(**contract!(Contracts::NewNotice), unit_id: unit.id, person_id: person.id)
          unit
        end
      end

      post '/api/notices/:id/end' do
        allow!(:work_on_job)
        once(200, :sheet) do
          notice = hold!(Models::Notice.dataset, id_param, 'notice').finish(contract!(Contracts::WithReason)[:reason], by: person)
          Models::Unit.with_pk!(notice.unit_id)
        end
      end

      private

      def sheet(about) = Presenters::UnitSheet.call(about.is_a?(String) ? unit_of(about) : about)

      # By its own id, or by that of a notice of it.
      def unit_of(id) = Models::Unit.with_pk(id) || Models::Unit.with_pk!(Models::Notice.with_pk!(id).unit_id)
    end
  end
end
