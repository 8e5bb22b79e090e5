# frozen_string_literal: true

module Server
  module Models
    class StartThreshold < Sequel::Model(:start_threshold)
      # What each unit's mornings say, since its batteries became what they are.
      class Mornings
        # Those of two winters: what is older says nothing of the unit that it is now.
        TOLD_DAYS = 500
        private_constant :TOLD_DAYS

        # @param unit_ids [Array<String>]
        def initialize(unit_ids)
          @unit_ids = unit_ids
        end

        # @return [CORE::ColdStart::FleetShift::Shift]
        def shift = @shift ||= FleetShift.now

        # @param unit_id [String]
        # @return [Array<CORE::ColdStart::Told::Dawn>] in order
        def of(unit_id)
          since = changed_at[unit_id]&.to_date
          told.fetch(unit_id, []).select { |one| since.nil? || one.dawn >= since }.map(&:to_core)
        end

        private

        def changed_at = @changed_at ||= Fitting.changed_at(@unit_ids)

        # SQL: select * from morning where unit_id in ? and dawn >= ? and low_celsius is not null order by dawn
        def told
          @told ||= Morning.where(unit_id: @unit_ids).where { dawn >= Date.today - TOLD_DAYS }.exclude(low_celsius: nil).order(:dawn).all
                           .group_by(&:unit_id)
        end
      end
    end
  end
end
