# frozen_string_literal: true

module Server
  module Queries
    # The board: units in the order that was asked for, a page at a time, by what they were narrowed to, each with what is kept of it.
    class UnitList
      PAGE = 100
      ORDERS = ['yard', *BoardOrder::KEYS].freeze
      STATES = %w[down held watched temporary batteries retired].freeze
      # units: of this page; after: what the next page goes on from, nil after the last; total: of all that fit; yards and classes: how many
      # units in service each has
      Result = Struct.new(:units, :after, :total, :yards, :classes, keyword_init: true)

      # @param filter [Hash] of Contracts::UnitFilter
      def initialize(filter)
        @filter = filter
      end

      # @return [Result]
      def call
        page = rows(following(fitting).limit(PAGE + 1)).all
        Result.new(units: page.first(PAGE), after: (page[PAGE - 1].id if page.size > PAGE), total: fitting.count, yards: yards, classes: classes)
      end

      # @return [Array<Models::Unit>] all that fit, in their order, with what is kept of them
      def all = rows(fitting).all

      # @param unit_id [String]
      # @return [Models::Unit, nil] its line
      def line(unit_id) = rows(fitting.where(Sequel[:unit][:id] => unit_id)).first

      private

      # What is kept is read of those that are shown alone: who they are is told first.
      #
      # SQL: select unit.*, unit_standing.*, start_threshold.celsius, variance, <held, watched, temporary, open_jobs>
      #      from (select unit.id from unit join yard left join unit_standing left join start_threshold where <filter> and
      #      (<order>, yard.name, number) > (those of the last unit shown) order by <order>, yard.name, number limit 101) as shown
      #      join unit join yard left join unit_standing left join start_threshold order by <order>, yard.name, number
      def rows(units)
        shown = units.order(*order).select(Sequel[:unit][:id].as(:shown_id))
        unfinished = Models::Job.unfinished.where(Sequel[:job][:unit_id] => Sequel[:unit][:id]).select { count.function.* }
        open = BoardOrder.conditions
        kept(Models::Unit.join(shown.as(:shown), shown_id: Sequel[:unit][:id]).join(:yard, id: Sequel[:unit][:yard_id]))
          .eager(:yard).order(*order).select_all(:unit)
          .select_append(*KEPT.map { |name| Sequel[:unit_standing][name] }, *days, *COLD.map { |name| Sequel[:start_threshold][name] },
                         unfinished.as(:open_jobs), *%i[held watched temporary].map { |kind| open.fetch(kind).as(kind) })
      end

      KEPT = (Models::UnitStanding.columns - [:unit_id, :worked_out_at, *Models::UnitStanding::Rounds::COLUMNS.keys]).freeze
      COLD = [*Wattomneum::ColdStart::Evening::Stored.members, :capacity_ampere_hour, :asleep_ampere, :tested, :read_at].freeze
      private_constant :KEPT, :COLD

      # When it was read, by the clock of its yard.
      def days
        %w[battery charging path ground].map do |of|
          Models::Yard.local_day(Sequel[:unit_standing][:"#{of}_at"], Sequel[:yard][:time_zone]).as(:"#{of}_on")
        end
      end

      def order = [*BoardOrder.all[@filter[:order]], Sequel[:yard][:name], Sequel[:unit][:number]]

      def following(units)
        return units if @filter[:after].nil?

        last = kept(Models::Unit.where(Sequel[:unit][:id] => @filter[:after]).join(:yard, id: Sequel[:unit][:yard_id]))
               .select(*order.each_with_index.map { |one, at| Sequel.as(one, :"place_#{at}") }).naked.first
        raise Refusals::InvalidInput.new('No such unit to go on from: look at the list anew', fields: { 'after' => ['is no unit'] }) if last.nil?

        units.where(Sequel.lit('(?) > (?)', Sequel.lit(Array.new(order.size, '?').join(', '), *order), last.values))
      end

      def kept(units) = units.left_join(:unit_standing, unit_id: Sequel[:unit][:id]).left_join(:start_threshold, unit_id: Sequel[:unit][:id])

      def fitting
        units = kept(Models::Unit.standing(@filter[:state] == 'retired').join(:yard, id: Sequel[:unit][:yard_id]))
        units = units.where(Sequel[:unit][:yard_id] => @filter[:yard]) if @filter[:yard]
        units = units.where(Sequel[:unit][:unit_class_id] => @filter[:class]) if @filter[:class]
        in_state(searched(units))
      end

      def searched(units)
        return units if @filter[:q].to_s.strip.empty?

        pattern = "%#{DB.dataset.escape_like(@filter[:q].strip)}%"
        units.where(Sequel.ilike(Sequel[:unit][:number], pattern) | Sequel.ilike(Sequel[:unit][:name], pattern))
      end

      def in_state(units)
        case @filter[:state]
        when 'down' then units.where(Sequel[:unit][:id] => Models::Job.unfinished.select(:unit_id))
        when 'held' then units.where(Sequel[:unit][:id] => Models::Notice.holding.select(:unit_id))
        when 'watched' then units.where(Sequel[:unit][:id] => Models::Notice.watched.select(:unit_id))
        when 'temporary' then units.where(Sequel[:unit][:id] => Models::Repair.still_temporary.join(:job, id: :job_id).select(:unit_id))
        when 'batteries'
          units.where(Sequel[:unit][:id] => Models::Fitting.current.where(battery_id: Models::BatteryState.to_mind.select(:battery_id)).select(:unit_id))
        else units
        end
      end

      # SQL: select yard.id, name, count(unit.id) from yard left join unit on ... and retired_at is null group by yard.id order by name
      def yards
        DB[:yard].left_join(:unit, { yard_id: :id, retired_at: nil }).group(Sequel[:yard][:id]).order(Sequel[:yard][:name])
                 .select { |o| [o.yard[:id], o.yard[:name], o.count(o.unit[:id]).as(:count)] }.all
      end

      # SQL: select unit_class.id, make, model, count(*) from unit_class join unit ... where retired_at is null group by unit_class.id
      def classes
        DB[:unit_class].join(:unit, { unit_class_id: :id, retired_at: nil }).group(Sequel[:unit_class][:id]).order(:make, :model)
                       .select { |o| [o.unit_class[:id], o.make, o.model, o.count.function.*.as(:count)] }.all
      end
    end
  end
end
