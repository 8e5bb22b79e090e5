# frozen_string_literal: true

module Wattomneum
  module Limits
    # One limit as judged by: its id, value, unit, what it holds for and where it comes from. under: the limit it stays below;
    # fixed: a fleet may not set it; shipped_value, shipped_kind: what it was before a fleet set it, and by what kind of source, else nil.
    Limit = Struct.new(:id, :words, :system_volt, :value, :unit, :source_kind, :source, :under, :fixed, :shipped_value, :shipped_kind,
                       keyword_init: true) do
      def initialize(**)
        super
        freeze
      end

      # @return [String] what people call it: "Posts while cranking, 12 V"
      def name = system_volt == 'any' ? words : "#{words}, #{system_volt} V"

      # @return [String] what it judges: "Voltage drops with the circuit working"; of core/data/limit_subjects.yml
      def subject = Subjects::OF.fetch(id[/\A[a-z]+/])

      # @return [String] id with the system voltage where the figure depends on it, "drop.ground_cranking@12"
      def row_id
        system_volt == 'any' ? id : "#{id}@#{system_volt}"
      end

      # @param value [Float] in the unit of the limit
      # @return [Limit] the same limit as a fleet set it, as shipped where that is what it is set to; the source still tells what was shipped
      def as_set(value)
        shipped = { value: shipped_value || self.value, source_kind: shipped_kind || source_kind }
        return self.class.new(**to_h, **shipped, shipped_value: nil, shipped_kind: nil) if value == shipped[:value]

        self.class.new(**to_h, value: value, source_kind: 'fleet', shipped_value: shipped[:value], shipped_kind: shipped[:source_kind])
      end
    end
  end
end
