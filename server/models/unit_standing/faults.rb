# frozen_string_literal: true

module Server
  module Models
    class UnitStanding
      # What was mended in the last twelve months, and what of it more than once.
      module Faults
        MONTHS = 12
        private_constant :MONTHS

        # SQL: select count(*), label from repair join job on job.id = job_id where unit_id = ? and made_at > ?
        #      group by coalesce(repair_unit, element), position order by count(*) desc
        #
        # @param unit [Unit]
        # @return [Hash] columns
        def self.of(unit)
          made = Repair.join(:job, id: :job_id).where(unit_id: unit.id).where { made_at > (Date.today << MONTHS).to_time }
          places = made.select_all(:repair).all.group_by { |repair| [repair.repair_unit || repair.element, repair.position] }.values
          again = places.select { |repairs| repairs.size > 1 }.max_by(&:size)
          { faults: places.sum(&:size), again: again&.last&.part_label }
        end
      end
    end
  end
end
