# frozen_string_literal: true

module Server
  module Workers
    # Works out with which single faults a unit will not stop, after its sheet changed. May run twice: the answer is the same.
    class FindStops < Que::Job
      # @param fitted_id [String] of Models::UnitSheet
      def run(fitted_id)
        fitted = Models::UnitSheet.where(id: fitted_id).eager(:unit, version: :sheet).first
        Models::StopFinding.work_out(fitted) if fitted && fitted.during.end.nil?
      rescue Wattomneum::OverBudgetError, Wattomneum::RefusedError => e
        # Trying it again would not make it smaller, or readable.
        warn "stops of sheet #{fitted_id}: #{e.message}"
      end
    end
  end
end
