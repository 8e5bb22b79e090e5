# frozen_string_literal: true

module Wattomneum
  # What can hurt somebody, said at the step where it can.
  module Safety
    Caution = Struct.new(:id, :acknowledge, :text, keyword_init: true)

    # The one list of cautions; steps and tests name them by id.
    module Cautions
      ROWS = DataFile.load('cautions').freeze
      BY_ID = ROWS.to_h { |row| [row['id'], Caution.new(**row.slice('id', 'acknowledge', 'text').transform_keys(&:to_sym)).freeze] }.freeze
      # What a kind of unit adds beside other cautions.
      OF_UNITS = ROWS.select { |row| row.key?('unit') }.freeze
      private_constant :ROWS, :OF_UNITS

      # @param id [String]
      # @param said [Hash{Symbol => String}] what stands in its text in curly brackets
      # @return [Caution]
      # @raise [UnknownKeyError] if the id is not in core/data/cautions.yml
      def self.fetch(id, **said)
        caution = fetch_all([id]).first
        Caution.new(**caution.to_h, text: format(caution.text.gsub(/\{(\w+)\}/, '%<\1>s'), said))
      end

      # @param cautions [Array<Caution>] of a step
      # @param system [Units::ElectricalSystem]
      # @return [Array<Caution>] with what this kind of unit adds to them, which comes first
      def self.on(cautions, system)
        ids = cautions.map(&:id)
        added = OF_UNITS.select { |row| row['beside'].intersect?(ids) && system.public_send(row['unit']) }
        fetch_all(added.map { |row| row['id'] }) + cautions
      end

      # @param ids [Array<String>]
      # @return [Array<Caution>]
      # @raise [UnknownKeyError] if an id is not in core/data/cautions.yml
      def self.fetch_all(ids)
        ids.map { |id| BY_ID.fetch(id) { raise UnknownKeyError, "no caution #{id}" } }
      end
    end
  end
end
