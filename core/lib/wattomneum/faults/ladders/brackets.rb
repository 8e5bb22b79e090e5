# frozen_string_literal: true

module Wattomneum
  module Faults
    # What has to be known before a source is condemned.
    module Ladders
      # The table of brackets, from core/data/brackets.yml.
      module Brackets
        DATA = DataFile.load('brackets')
        # key: of its row; sign: what has to be shown for it to hold; evidence: the test that speaks against the suspect; rungs: keys
        Bracket = Struct.new(:suspect, :key, :sign, :evidence, :rungs, keyword_init: true)
        ALL = DATA.fetch('brackets').map { |row| Bracket.new(**row.transform_keys(&:to_sym)).freeze }.group_by(&:suspect).freeze
        RUNGS = DATA.fetch('rungs')

        # @param suspect [String] starter, alternator, charger or battery
        # @param shown [Shown] what the readings say
        # @return [Bracket] the first whose sign holds
        # @raise [KeyError] if there is no such suspect
        def self.of(suspect, shown) = ALL.fetch(suspect).find { |one| one.sign.nil? || shown.all?(one.sign) }
      end
    end
  end
end
