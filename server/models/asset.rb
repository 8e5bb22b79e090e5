# frozen_string_literal: true

module Server
  module Models
    # One individual starter, alternator or relay, wherever it stands.
    class Asset < Sequel::Model(:asset)
      unrestrict_primary_key
      CORE = Wattomneum::Assets

      dataset_module do
        def loose = where(scrapped_at: nil).exclude(id: AssetFitting.current.select(:asset_id))
      end

      class << self
        # @param input [Hash] of Contracts::NewAsset, with its kind
        # @return [Asset]
        # @raise [Wattomneum::InvalidQuantityError] if none has such a rating
        # @raise [Refusals::InvalidInput] if its tag is taken
        def establish(input)
          CORE::Kinds.fetch(input[:kind]).check(input[:rating])
          db.transaction(savepoint: true) { create(**input) }
        rescue Sequel::UniqueConstraintViolation => e
          raise unless DatabaseErrors.violates?(e, 'asset_tag_key')

          raise Refusals::InvalidInput.new('A part with this tag is on record: take it from the shelf list',
                                           fields: { 'tag' => ['is on record already'] })
        end
      end

      # @return [CORE::Kinds::Kind]
      def core_kind = CORE::Kinds.fetch(kind)

      # @return [Asset]
      # @raise [Refusals::InvalidInput] while it stands in a unit
      def scrap(reason, at:)
        fitting = AssetFitting.current.eager(:unit).where(asset_id: id).all.first
        raise Refusals::InvalidInput.new("It stands in #{fitting.unit.number}: take it off first", fields: {}) if fitting

        update(scrapped_at: scrapped_at || at, scrapped_because: scrapped_because || reason)
        self
      end

      # Back onto the shelf.
      #
      # @return [Asset]
      def keep = tap { |asset| asset.update(scrapped_at: nil, scrapped_because: nil) }
    end
  end
end
