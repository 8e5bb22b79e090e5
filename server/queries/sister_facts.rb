# frozen_string_literal: true

module Server
  module Queries
    # What most units of a class have in common: the facts that a new one is entered with, and the sheets that are fitted to more than half.
    class SisterFacts
      FACTS = %i[kind system_volt arrangement battery_count usual_cranking_current_ampere alternator_rating_ampere has_isolator has_sense regulator
                 neutral_interlock grounding has_equaliser heat_aid control_unit].freeze
      private_constant :FACTS

      # @param unit_class [Models::UnitClass, nil]
      # @param unit [Models::Unit, nil] the one that asks: it is no sister of its own
      def initialize(unit_class, unit: nil)
        @unit_class = unit_class
        @unit = unit
      end

      # @return [Integer] sisters in service
      def total = @total ||= sisters.count

      # SQL: select <facts>, count(*) as like from unit where unit_class_id = ? and retired_at is null group by <facts> order by like desc limit 1
      #
      # @return [Hash{Symbol => Object}, nil] facts and like, how many have just these; nil where there is no sister
      def facts
        return if total.zero?

        @facts ||= sisters.group(*FACTS).select(*FACTS).select_append { count.function.*.as(:like) }.order(Sequel.desc(:like)).first.values
      end

      # What more than half of them have; of the unit that asks only those of its voltage that it lacks, in whatever version.
      #
      # SQL: select version_id from unit_sheet where upper_inf(during) and unit_id in <sisters> group by version_id having count(*) > ?
      #
      # @return [Array<Models::SheetVersion>] by title
      def sheets
        many = Sequel.function(:count).* > total / 2
        common = Models::UnitSheet.current.where(unit_id: sisters.select(:id)).group(:version_id).having(many).select_map(:version_id)
        found = Models::SheetVersion.where(id: common).order(:title)
        @unit ? found.where(system_volt: @unit.system_volt).exclude(sheet_id: fitted.select(:sheet_id)).all : found.all
      end

      private

      def fitted = Models::UnitSheet.current.where(unit_id: @unit.id)

      def sisters
        others = Models::Unit.standing(false).where(unit_class_id: @unit_class&.id).exclude(unit_class_id: nil)
        @unit ? others.exclude(id: @unit.id) : others
      end
    end
  end
end
