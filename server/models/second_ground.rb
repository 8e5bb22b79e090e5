# frozen_string_literal: true

module Server
  module Models
    # A second ground from an alternator's case to battery negative: on the ground map, so that the next person knows of it.
    class SecondGround < Sequel::Model(:second_ground)
      unrestrict_primary_key
      many_to_one :person, class: 'Server::Models::Account'

      dataset_module do
        def standing = where(removed_at: nil)
      end

      class << self
        # @param unit [Unit] held
        # @param input [Hash] of Contracts::NewSecondGround
        # @param by [Account]
        # @raise [Refusals::InvalidInput] where there is one, or no alternator whose case is grounded
        def add(unit, input, by:)
          if unit.alternator_rating_ampere.nil? || unit.grounding == 'insulated'
            raise Refusals::InvalidInput.new('This unit has no alternator on a grounded case', fields: {})
          end
          raise Refusals::InvalidInput.new('There is one already: look at the map again', fields: {}) if standing.where(unit_id: unit.id).any?

          least = Wattomneum::Grounds::Second::LEAST_MM2
          if input[:section_mm2] < least
            raise Refusals::InvalidInput.new("Thinner than #{least.round} mm2 it burns where the engine ground is bad",
                                             fields: { 'section_mm2' => ["is under #{least.round} mm2"] })
          end

          create(**input, unit_id: unit.id, person_id: by.id)
        end

        # @param unit [Unit] held
        # @param reason [String]
        def remove(unit, reason)
          standing.where(unit_id: unit.id).update(removed_at: Time.now.utc, removed_because: reason)
        end
      end
    end
  end
end
