# frozen_string_literal: true

module Server
  module Models
    # What is done to a unit's circuits: sheets fitted, conflicts ruled.
    class CircuitWork
      # Units get a version of a sheet that they have; all of them or none. Jobs that are open go on with what they hold.
      #
      # @param version [SheetVersion]
      # @param ids [Array<String>] of units
      # @param at [Time]
      # @return [Array<UnitSheet>]
      # @raise [Refusals::NotFound] where one of them has no such sheet
      def self.move(version, ids, at:)
        units = Unit.where(id: ids).order(:id).for_update.all
        having = UnitSheet.current.where(unit_id: ids, sheet_id: version.sheet_id).select_map(:unit_id)
        unless (ids - having).empty? && units.size == ids.size
          raise Refusals::NotFound,
                'One of these units has not got this sheet: fit it there first'
        end

        units.map { |unit| UnitSheet.fit(unit, version, at: at) }
      end

      # @param unit [Unit]
      def initialize(unit)
        @unit = unit
      end

      # @param input [Hash] of Contracts::SheetFitting
      # @param at [Time]
      # @return [UnitSheet]
      def fit(input, at:)
        version = SheetVersion.with_pk(input[:version_id]) || raise(Refusals::NotFound, 'No such sheet')
        UnitSheet.fit(@unit, version, at: at)
      end

      # Sheets that most of its sisters have and it has not, in whatever version.
      #
      # @param at [Time]
      # @return [Array<UnitSheet>]
      # @raise [Refusals::InvalidInput] for a unit of no class, or where its sisters have none more
      def fit_as_sisters(at:)
        missing = Queries::SisterFacts.new(UnitClass.of(@unit), unit: @unit).sheets
        raise Refusals::InvalidInput.new('Most of its sister units have no sheet that it lacks', fields: {}) if missing.empty?

        missing.map { |version| UnitSheet.fit(@unit, version, at: at) }
      end

      # A ruling is kept as local truth; where it says what is true, the unit's sheets follow it.
      #
      # @param input [Hash] of Contracts::NewRuling
      # @return [Ruling]
      # @raise [Refusals::InvalidInput] if there is no such conflict, or no such choice
      def rule(input, by:)
        circuits = Queries::UnitCircuits.new(@unit.id)
        conflict = circuits.conflicts.find { |one| one.key == input[:conflict_key] } || refuse('conflict_key', 'no such conflict on this unit')
        option = conflict.options.find { |one| one.label == input[:choice] }
        option || refuse('choice', "choose one of: #{conflict.options.map(&:label).join('; ')}")
        apply(option.overrides, circuits, why: "#{conflict.words}: #{option.label}", by: by)
        Ruling.create(**input.slice(:id, :conflict_key, :choice), note: input.fetch(:note, ''), unit_id: @unit.id, words: conflict.words,
                                                                  overrides: Sequel.pg_jsonb(option.overrides), person_id: by.id)
      end

      private

      def refuse(field, sentence)
        raise Refusals::InvalidInput.of({ field => [sentence] })
      end

      def apply(overrides, circuits, **said)
        circuits.fitted.each do |fitted|
          sheet = circuits.machine(fitted).sheet
          own = overrides.slice(*(sheet.wires.map(&:uuid) + sheet.parts.map(&:uuid)))
          fitted.override(own, **said) if own.any?
        end
      end
    end
  end
end
