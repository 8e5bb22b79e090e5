# frozen_string_literal: true

module Server
  module Models
    # What sister units share: their make and model.
    class UnitClass < Sequel::Model(:unit_class)
      class << self
        # The class of that name, made on first use. Two who enter it at once make one.
        #
        # @param make [String, nil]
        # @param model [String, nil]
        # @return [UnitClass, nil] nil where neither is said
        # @raise [Refusals::InvalidInput] where only one of them is said
        def named(make, model)
          said = [make, model].map { |text| text.to_s.strip }
          return if said.all?(&:empty?)

          refuse_half(said)
          dataset.insert_conflict.insert(make: said.first, model: said.last)
          called(*said)
        end

        # SQL: select * from unit_class where lower(make) = ? and lower(model) = ?
        #
        # @param make [String]
        # @param model [String]
        # @return [UnitClass, nil] nil where no unit was ever entered so
        def called(make, model)
          first(Sequel.function(:lower, :make) => make.strip.downcase, Sequel.function(:lower, :model) => model.strip.downcase)
        end

        # @param unit [Unit]
        # @return [UnitClass, nil]
        def of(unit) = unit.unit_class_id && self[unit.unit_class_id]

        private

        def refuse_half(said)
          missing = { 'make' => said.first, 'model' => said.last }.select { |_, text| text.empty? }.keys
          return if missing.empty?

          raise Refusals::InvalidInput.of(missing.to_h { |field| [field, ['is missing: sister units share both make and model']] })
        end
      end

      # @return [Hash{Symbol => String, nil}] make and model of a unit's class, or of none
      def self.names_of(unit_class) = { make: unit_class&.make, model: unit_class && unit_class[:model] }

      # @return [String]
      def label = "#{make} #{self[:model]}"
    end
  end
end
