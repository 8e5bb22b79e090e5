# frozen_string_literal: true

module Server
  module Queries
    # What most units of a class have in common: the facts that a new one is entered with, and the sheets that are fitted to more than half.
    class SisterFacts
      FACTS = %i[kind system_volt arrangement battery_count usual_cranking_current_ampere alternator_rating_ampere has_isolator has_sense regulator
                 neutral_interlock grounding has_equaliser heat_aid control_unit].freeze
      private_constant :FACTS

      # @param make [String]
      # @param model [String]
      # @param except [String, nil] the unit that asks
      def initialize(make, model, except: nil)
        @make = make.strip
        @model = model.strip
        @except = except
      end

      # @return [Integer] sisters in service
      def total = @total ||= sisters.count

      # SQL: select <facts>, count(*) as like from unit join unit_class where lower(make) = ? and lower(model) = ? and retired_at is null
      #      group by <facts> order by like desc limit 1
      #
      # @return [Hash{Symbol => Object}, nil] facts and like, how many have just these; nil where there is no sister
      def facts = @facts ||= sisters.group(*FACTS).select(*FACTS).select_append { count.function.*.as(:like) }.order(Sequel.desc(:like)).first&.values

      # SQL: select version_id from unit_sheet where upper_inf(during) and unit_id in <sisters> group by version_id having count(*) > ?
      #
      # @return [Array<Models::SheetVersion>] by title
      def sheets
        many = Sequel.function(:count).* > total / 2
        common = Models::UnitSheet.current.where(unit_id: sisters.select(:id)).group(:version_id).having(many).select_map(:version_id)
        Models::SheetVersion.where(id: common).order(:title).all
      end

      private

      def sisters
        of_class = Models::UnitClass.where(Sequel.function(:lower, :make) => @make.downcase, Sequel.function(:lower, :model) => @model.downcase)
        others = Models::Unit.standing(false).where(unit_class_id: of_class.select(:id))
        @except ? others.exclude(id: @except) : others
      end
    end
  end
end
