# frozen_string_literal: true

module Server
  module Queries
    # The grounds of a unit on its own circuit, what was last done to each, and when it is due.
    class UnitGrounds
      CORE = Wattomneum
      MOST_SISTERS = 12
      # What leads and tips may be off by (ours).
      LEAST_MILLIOHM = 0.05
      private_constant :MOST_SISTERS, :LEAST_MILLIOHM
      attr_reader :unit

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = unit
      end

      # @return [Array<CORE::Grounds::Map::Place>] in the order of a round; empty where its sheets do not go together
      def round = @round ||= CORE::Grounds::Round.new(machine ? CORE::Grounds::Map.new(machine).places : [])

      # @param uuid [String]
      # @return [CORE::Grounds::Map::Place, nil]
      def place(uuid) = round.order.find { |one| one.uuid == uuid }

      # @return [Hash{String => Models::GroundService}]
      def services = @services ||= Models::GroundService.last_of(unit.id)

      # @param place [CORE::Grounds::Map::Place]
      # @param volt [Float]
      # @param ampere [Float]
      # @return [CORE::Grounds::Check]
      def check(place, volt:, ampere:)
        CORE::Grounds::Check.new(volt: volt, ampere: ampere, kind: place.kind, starts: starts?(place), system: system, limits: limits)
      end

      # @param place [CORE::Grounds::Map::Place]
      # @return [Date, nil] nil where nobody ever looked after it
      def due_on(place)
        service = services[place.uuid] or return
        CORE::Readings::Due.on(Models::Yard.day_of(service.served_at, unit.yard.time_zone), months)
      end

      # @return [Boolean] whether the starter's current returns through it
      def starts?(place) = place.steps == 1 || place.hangs.include?(starter)

      # @return [Models::SecondGround, nil] what stands
      def second = @second ||= Models::SecondGround.standing.eager(:person).first(unit_id: unit.id)

      # Units of its class that stand beside it, those that wait longest first.
      #
      # SQL: select unit.id, number, name, exposure, last.served_at from unit left join lateral (select max(served_at) from ground_service where
      #      unit_id = unit.id) as last on true where unit_class_id = ? and yard_id = ? and id <> ? and retired_at is null
      #      order by served_at nulls first, number limit 12
      #
      # @return [Array<Array(Models::Unit, Date)>] with the day each was last looked after, nil where nobody ever did
      def sisters
        return [] if unit.unit_class_id.nil?

        last = Models::GroundService.where(unit_id: Sequel[:unit][:id]).select(Sequel.function(:max, :served_at).as(:served_at))
        Models::Unit.standing(false).where(unit_class_id: unit.unit_class_id, yard_id: unit.yard_id).exclude(id: unit.id)
                    .left_join(last.lateral.as(:last), true).select_all(:unit).select_append(Sequel[:last][:served_at])
                    .order(Sequel.asc(Sequel[:last][:served_at], nulls: :first), :number).limit(MOST_SISTERS).all
                    .map { |one| [one, one[:served_at] && Models::Yard.day_of(one[:served_at], unit.yard.time_zone)] }
      end

      # What the same ground came to on sister units, after somebody looked after it.
      #
      # @param place [CORE::Grounds::Map::Place]
      # @return [CORE::Evidence::Baseline, nil] in milliohms; nil where too few are known
      def baseline(place)
        CORE::Evidence::Baseline.of(of_sisters.fetch(place.uuid, []), least_spread: LEAST_MILLIOHM)
      end

      # @param exposure [String]
      # @return [Integer] months after which grounds are looked after again
      def months(exposure = unit.exposure) = CORE::Readings::Due.months('grounds', limits, exposure: exposure)

      def limits = rules.limits
      def rules = @rules ||= FleetRules.new
      def system = circuits.system
      def today = @today ||= Models::Yard.day_of(Time.now.utc, unit.yard.time_zone)

      private

      # SQL: select distinct on (unit_id, item_uuid) item_uuid, after_volt, after_ampere from ground_service where after_volt is not null and
      #      unit_id in (select id from unit where unit_class_id = ? and id <> ? and retired_at is null) order by unit_id, item_uuid, served_at desc
      def of_sisters
        return {} if unit.unit_class_id.nil?

        @of_sisters ||= begin
          ids = Models::Unit.standing(false).where(unit_class_id: unit.unit_class_id).exclude(id: unit.id).select(:id)
          Models::GroundService.where(unit_id: ids).exclude(after_volt: nil).distinct(:unit_id, :item_uuid)
                               .order(:unit_id, :item_uuid, Sequel.desc(:served_at))
                               .select_map(%i[item_uuid after_volt after_ampere]).group_by(&:first)
                               .transform_values { |rows| rows.map { |_, volt, ampere| CORE::Grounds::Check.milliohm(volt, ampere) } }
        end
      end

      def circuits = @circuits ||= UnitCircuits.new(unit.id)
      def machine = @machine ||= circuits.drawn
      def starter = @starter ||= machine.sheet.loops.find { |loop| loop.key == 'start' }&.then { |loop| machine.sheet.part(loop.load).label }
    end
  end
end
