# frozen_string_literal: true

module Server
  module Models
    # How to get at a place on units of one class: which cover, which tool, which way in.
    class AccessNote < Sequel::Model(:access_note)
      unrestrict_primary_key
      many_to_one :person, class: 'Server::Models::Account'
      # More than anybody reads beside a machine (ours).
      MOST = 60
      private_constant :MOST

      dataset_module do
        def standing = where(ended_at: nil)
      end

      class << self
        # @param unit_class_id [String, nil]
        # @return [Array<AccessNote>] by place; none for a unit of no class
        def of_class(unit_class_id)
          unit_class_id ? standing.where(unit_class_id: unit_class_id).eager(:person).order(:place, :noted_at).all : []
        end

        # @param unit [Unit] held
        # @param input [Hash] of Contracts::NewAccessNote
        # @param by [Account]
        # @raise [Refusals::InvalidInput] for a unit of no class, or where there are too many
        def note(unit, input, by:)
          if unit.unit_class_id.nil?
            raise Refusals::InvalidInput.new('This unit has no make and model: enter them first, then its sisters share the note', fields: {})
          end
          if standing.where(unit_class_id: unit.unit_class_id).count >= MOST
            raise Refusals::InvalidInput.new("#{MOST} notes stand for this class: strike out what nobody needs", fields: {})
          end

          create(**input, unit_class_id: unit.unit_class_id, person_id: by.id)
        end
      end

      # @return [AccessNote]
      def strike_out = tap { |note| note.update(ended_at: Time.now.utc) if ended_at.nil? }
    end
  end
end
