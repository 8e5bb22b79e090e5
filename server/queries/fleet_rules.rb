# frozen_string_literal: true

module Server
  module Queries
    # What the fleet judges by: limits as set, with reason and person, and the schools chosen.
    class FleetRules
      # @return [Wattomneum::Limits::Table]
      def limits = @limits ||= Models::LimitOverride.in_force

      # @return [Wattomneum::Schools::Choices]
      def schools = @schools ||= Models::SchoolChoice.in_force

      # @return [Array<Models::Rejudging>] stored verdicts that are being brought to new rules
      def judging = Models::Rejudging.going_on.all

      # SQL: select limit_id, reason, account.name as person from limit_override join account ...
      #
      # @return [Hash{String => Hash}] reason and person of each limit that the fleet set, by row id
      def settings
        @settings ||= Models::LimitOverride.join(:account, id: :person_id)
                                           .select(:limit_id, :reason, Sequel[:account][:name].as(:person))
                                           .as_hash(:limit_id).transform_values { |row| { reason: row.reason, person: row[:person] } }
      end
    end
  end
end
