# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The table of situations, from core/data/situations.yml.
    module Situations
      ALL = DataFile.load('situations').map do |row|
        Situation.new(**row.except('sheet', 'test').transform_keys(&:to_sym), cautions: row.fetch('cautions', []), sheet_state: row['sheet'],
                                                                              test_state: row['test']).freeze
      end.freeze
      BY_KEY = ALL.to_h { |one| [one.key, one] }.freeze
      BY_SHEET_STATE = ALL.group_by(&:sheet_state).freeze

      # @param key [String]
      # @return [Situation]
      # @raise [UnknownKeyError]
      def self.fetch(key) = BY_KEY[key] || raise(UnknownKeyError, "no situation #{key}")

      # @param test_state [String] state of a test in the catalogue
      # @return [Situation]
      # @raise [UnknownKeyError]
      def self.of_test(test_state) = ALL.find { |one| one.test_state == test_state } || raise(UnknownKeyError, "no situation for #{test_state}")

      # @param key [String]
      # @param sheet [Sheet]
      # @return [Situation]
      # @raise [UnknownKeyError] with the ones there are, if the sheet does not know it
      def self.on(sheet, key)
        known = Situation.of(sheet)
        known.find { |one| one.key == key } ||
          raise(UnknownKeyError, "this unit's circuit knows no state \"#{key}\": #{known.map(&:key).join(', ')}")
      end

      # A state that only this sheet has.
      #
      # @param state [String]
      # @param label [String]
      # @return [Situation]
      def self.own(state, label)
        Situation.new(key: state, label: Wording.inside(label), isolator: 'closed', key_switch: 'on', engine: 'stopped',
                      loads: 'off', sheet_state: state, cautions: []).freeze
      end
    end
  end
end
