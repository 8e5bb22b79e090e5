# frozen_string_literal: true

module Wattomneum
  module Limits
    # Whether a fleet may set a limit to a value: not what guards people or belongs to the instrument, not far from what is shipped,
    # and never past the limit it stays below.
    class FleetSetting
      # Nearer than this factor to the shipped value; farther is a slip of the decimal point or another limit (ours).
      FARTHEST_FACTOR = 2.0

      # @param table [Table] with what the fleet has set so far
      def initialize(table)
        @table = table
      end

      # @param row_id [String]
      # @param value [Float] in the unit of the limit
      # @return [Limit] as it would be
      # @raise [UnknownKeyError] if there is no such limit
      # @raise [RefusedError] if a fleet may not set it
      # @raise [InvalidQuantityError] if the value is farther than FARTHEST_FACTOR from what is shipped
      # @raise [InvalidQuantityError] if it would cross the limit that it stays below, or one that stays below it
      def check(row_id, value)
        limit = @table.row(row_id)
        raise RefusedError, "#{row_id} is not a fleet's to set: #{limit.source}" if limit.fixed

        near!(limit, value)
        ordered!(@table.with(row_id => value), row_id)
        limit.as_set(value)
      end

      private

      def near!(limit, value)
        shipped = limit.shipped_value || limit.value
        least, most = [shipped / FARTHEST_FACTOR, shipped * FARTHEST_FACTOR].minmax
        return if value.between?(least, most)

        raise InvalidQuantityError, "#{limit.row_id} may be set from #{figure(least)} to #{figure(most)} #{limit.unit}, got #{figure(value)}"
      end

      def ordered!(table, row_id)
        table.to_a.each do |limit|
          next if limit.under.nil?

          above = table.fetch(limit.under, system_volt: limit.system_volt)
          next if limit.value < above.value || [limit.row_id, above.row_id].none?(row_id)

          raise InvalidQuantityError, "#{limit.row_id} must stay under #{above.row_id}: " \
                                      "#{figure(limit.value)} against #{figure(above.value)} #{limit.unit}"
        end
      end

      def figure(value) = Quantities::Figure.trim(value, 4)
    end
  end
end
