# frozen_string_literal: true

module Server
  module Models
    # A repair, for good or for now.
    class Repair < Sequel::Model(:repair)
      unrestrict_primary_key
      many_to_one :job, class: 'Server::Models::Job'

      dataset_module do
        def still_temporary = where(temporary: true, made_permanent_at: nil)
      end

      # @return [Wattomneum::Jobs::Repair]
      def to_core
        Wattomneum::Jobs::Repair.new(id: id, element: element, unit: repair_unit, position: position, temporary: temporary,
                                     failing_reading_id: failing_reading_id)
      end

      # @return [String] what was mended
      def part_label = label || Wattomneum::Units::Parts.fetch(element).label

      # @return [Repair]
      def make_permanent(at:)
        raise Refusals::InvalidInput.new('This repair is not a temporary one', fields: {}) unless temporary

        made_permanent_at ? self : update(made_permanent_at: at)
      end
    end
  end
end
