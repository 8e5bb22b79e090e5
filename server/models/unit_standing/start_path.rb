# frozen_string_literal: true

module Server
  module Models
    class UnitStanding
      # The way to the starter and back in milliohms, at the current that the unit usually cranks with.
      module StartPath
        TESTS = { 'positive_drop' => :feed_milliohm, 'ground_drop' => :return_milliohm }.freeze
        NONE = { feed_milliohm: nil, return_milliohm: nil, path_verdict: nil, path_at: nil }.freeze
        WORST_FIRST = %w[act watch unproven sound].freeze
        # With an engine that stood still no usual current flowed, and of a drop that proves nothing nobody knows what did.
        STILL = 'does not turn'
        UNPROVEN = 'unproven'
        private_constant :TESTS, :NONE, :WORST_FIRST, :STILL, :UNPROVEN

        # Formula: R = V / I; Ohm's law.
        #
        # @param unit [Unit]
        # @param system [Wattomneum::Units::ElectricalSystem]
        # @return [Hash] columns
        def self.of(unit, system)
          last = Last.of(unit, TESTS.keys)
          return NONE if last.empty?

          ohms = last.to_h { |row| [TESTS.fetch(row[:test_key]), milliohm(row, system)] }
          { **NONE, **ohms, path_verdict: last.map { |row| row[:verdict] }.min_by { |word| WORST_FIRST.index(word) },
            path_at: last.map { |row| row[:taken_at] }.min }
        end

        def self.milliohm(row, system)
          ampere = system.usual_cranking_current_ampere
          return if ampere.nil? || row[:verdict] == UNPROVEN || row[:conditions]['engine_meanwhile'] == STILL

          Wattomneum::Grounds::Check.milliohm(row[:value], ampere)
        end
        private_class_method :milliohm
      end
    end
  end
end
