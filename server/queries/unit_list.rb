# frozen_string_literal: true

module Server
  module Queries
    # Units by yard and number, a page at a time, by what they were narrowed to.
    class UnitList
      PAGE = 100
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
        page = rows.limit(PAGE + 1).all
        Result.new(units: page.first(PAGE), after: (page[PAGE - 1].id if page.size > PAGE), total: fitting.count, yards: yards, classes: classes)
      end

      private

      # SQL: select unit.*, (select count(*) from job where unit_id = unit.id and state in ('open', 'parked')) as open_jobs,
      #      exists (select 1 from notice where unit_id = unit.id and severity = 'holds' and ended_at is null) as held
      #      from unit join yard on yard.id = yard_id where <filter> and (yard.name, number) > (those of the last unit shown)
      #      order by yard.name, number limit 101; yards of those
      def rows
        unfinished = Models::Job.unfinished.where(Sequel[:job][:unit_id] => Sequel[:unit][:id]).select { count.function.* }
        following(fitting).eager(:yard).order(Sequel[:yard][:name], :number).select_all(:unit)
                          .select_append(unfinished.as(:open_jobs), holding.as(:held))
      end

      def holding = Models::Notice.holding.where(Sequel[:notice][:unit_id] => Sequel[:unit][:id]).select(1).exists

      def following(units)
        return units if @filter[:after].nil?

        last = Models::Unit.where(id: @filter[:after]).eager(:yard).first
        raise Refusals::InvalidInput.new('No such unit to go on from: look at the list anew', fields: { 'after' => ['is no unit'] }) if last.nil?

        units.where(Sequel.lit('(yard.name, unit.number) > (?, ?)', last.yard.name, last.number))
      end

      def fitting
        units = Models::Unit.standing(@filter[:state] == 'retired').join(:yard, id: Sequel[:unit][:yard_id])
        units = units.where(Sequel[:unit][:yard_id] => @filter[:yard]) if @filter[:yard]
        units = units.where(unit_class_id: @filter[:class]) if @filter[:class]
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
