# frozen_string_literal: true

module Server
  module Queries
    # In what order the board stands: a figure for each unit of which the least comes first. What was never read comes behind what is bad and
    # before what is known to be good.
    module BoardOrder
      KEYS = %w[consequence batteries charging path cold grounds faults].freeze
      STANDING = :unit_standing
      COLD = :start_threshold
      # Where nothing was read: between the middle of the scale and its good end.
      NEVER = { batteries: 90.0, charging: 0.0, path: -3.0, cold: 5.0, faults: 0.0 }.freeze
      # What a mark, a hold or something open weighs when units are put in order of consequence (ours).
      WEIGHTS = { 'act' => 10, 'watch' => 3, 'unproven' => 1 }.freeze
      NOT_READ = 1
      OPEN = { held: 40, open_job: 12, temporary: 6, watched: 3 }.freeze
      MATTERS = { 'urgent' => 1.5, 'spare' => 0.6 }.freeze
      VERDICTS = %i[battery_verdict charging_verdict path_verdict].freeze
      private_constant :STANDING, :COLD, :NEVER, :WEIGHTS, :NOT_READ, :OPEN, :MATTERS, :VERDICTS

      module_function

      # @return [Hash{String => Sequel::SQL::Expression}] by KEYS, over units with what is kept of them joined
      def all
        { 'consequence' => Sequel.expr(0.0) - consequence, 'batteries' => or_never(:batteries, standing(:battery_percent)),
          'charging' => or_never(:charging, Sequel.expr(0.0) - off_band),
          'path' => or_never(:path, Sequel.expr(0.0) - zero(:feed_milliohm) - zero(:return_milliohm), read: standing(:path_at)),
          'cold' => or_never(:cold, Sequel.expr(0.0) - Sequel[COLD][:celsius]), 'faults' => or_never(:faults, Sequel.expr(0.0) - standing(:faults)),
          'grounds' => Sequel.function(:coalesce, Sequel.cast(Sequel.extract(:epoch, Sequel.cast(standing(:ground_due_on), Time)), Float),
                                       Sequel.cast(Sequel.extract(:epoch, Sequel::CURRENT_TIMESTAMP), Float)) }
      end

      def standing(column) = Sequel[STANDING][column]
      def zero(column) = Sequel.function(:coalesce, standing(column), 0.0)

      def or_never(kind, figure, read: nil)
        never = NEVER.fetch(kind)
        read ? Sequel.case({ { read => nil } => never }, figure) : Sequel.function(:coalesce, figure, never)
      end

      # Volts that it regulates outside its band, as a share of the system.
      def off_band
        volt, low, high = %i[charging_volt charging_low_volt charging_high_volt].map { |column| standing(column) }
        Sequel.function(:greatest, low - volt, volt - high) / Sequel[:unit][:system_volt]
      end

      def consequence
        marks = VERDICTS.map { |column| Sequel.case(WEIGHTS, Sequel.case({ { standing(column) => nil } => NOT_READ }, 0), standing(column)) }
        open = OPEN.map { |kind, weight| Sequel.case({ conditions.fetch(kind) => weight }, 0) }
        Sequel.+(*marks, *open) * Sequel.case(MATTERS, 1.0, Sequel[:unit][:matters])
      end

      # Something open of each kind, as it stands now.
      def conditions
        { held: of_unit(Models::Notice.holding), watched: of_unit(Models::Notice.watched), open_job: of_unit(Models::Job.unfinished),
          temporary: of_unit(Models::Repair.still_temporary.join(:job, id: :job_id), :job) }
      end

      def of_unit(rows, table = rows.first_source_alias)
        rows.where(Sequel[table][:unit_id] => Sequel[:unit][:id]).select(1).exists
      end
    end
  end
end
