# frozen_string_literal: true

module Server
  module Models
    # A defect seen on the way and not mended: for a later visit, for soon, or such that the unit is held until a lead lets it go.
    class Notice < Sequel::Model(:notice)
      unrestrict_primary_key
      many_to_one :unit, class: 'Server::Models::Unit'
      SEVERITIES = %w[holds soon watch later].freeze
      HELD = 'It holds the unit: a lead lifts that once it is mended'
      private_constant :HELD

      dataset_module do
        def standing = where(ended_at: nil)
        def holding = standing.where(severity: 'holds')
        def watched = standing.where(severity: 'watch')
      end

      # What the program itself notices: noticed once more while it stands, it stands once.
      #
      # @param severity [String] of SEVERITIES
      # @param what [String]
      # @param unit_id [String]
      # @param by [Account]
      # @return [Notice]
      def self.once(severity, what, unit_id:, by:, **more)
        about = { unit_id: unit_id, what: what, severity: severity }
        standing.first(about) || create(id: SecureRandom.uuid, **about, person_id: by.id, **more)
      end

      # @return [Boolean]
      def holds? = severity == 'holds'

      # Mended, or looked at and let be. Said twice, the first word stays.
      #
      # @param because [String]
      # @param by [Account]
      # @return [Notice]
      # @raise [Refusals::NotAllowed] where it holds its unit and they may not lift that
      def finish(because, by:)
        raise Refusals::NotAllowed, HELD if holds? && !Policy.allows?(by.role, :lift_hold)

        update(ended_at: Time.now.utc, ended_by_id: by.id, ended_because: because) if ended_at.nil?
        self
      end
    end
  end
end
