# frozen_string_literal: true

module Wattomneum
  module Limits
    # One limit as judged by: its id, value, unit, what it holds for and where it comes from.
    Limit = Struct.new(:id, :system_volt, :value, :unit, :source_kind, :source, keyword_init: true) do
      def initialize(**)
        super
        freeze
      end

      # @return [String] id with the system voltage where the figure depends on it, "drop.ground_cranking@12"
      def row_id
        system_volt == 'any' ? id : "#{id}@#{system_volt}"
      end
    end
  end
end
