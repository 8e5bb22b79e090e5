# frozen_string_literal: true

module Server
  module Models
    # One individual battery, wherever it stands.
    class Battery < Sequel::Model(:battery)
      unrestrict_primary_key
      plugin :optimistic_locking
      one_to_many :fittings, class: 'Server::Models::Fitting'

      dataset_module do
        def loose = where(scrapped_at: nil).exclude(id: Fitting.current.select(:battery_id))
      end

      class << self
        # @param input [Hash] of Contracts::NewFitting's battery
        # @param on [Date]
        # @return [Battery]
        # @raise [Wattomneum::InvalidQuantityError] if no such battery exists
        def establish(input, on:)
          Wattomneum::Batteries::Rating.new(ampere: input[:rating_ampere], standard: input[:rating_standard])
          db.transaction(savepoint: true) { create(**input, made_on: made_on(input[:date_code], on)) }
        rescue Sequel::UniqueConstraintViolation => e
          raise unless DatabaseErrors.violates?(e, 'battery_tag_key')

          raise Refusals::InvalidInput.new('A battery with this tag is on record: take it from the shelf list',
                                           fields: { 'tag' => ['is on record already'] })
        end

        def made_on(code, today)
          code.to_s.empty? ? nil : Wattomneum::Batteries::DateCode.made_on(code, not_after: today)
        end

        # @param row [Hash] columns of a battery
        # @return [Wattomneum::Batteries::Battery]
        def core(row)
          Wattomneum::Batteries::Battery.new(
            **row.slice(:tag, :type, :capacity_ampere_hour, :made_on),
            rating: Wattomneum::Batteries::Rating.new(ampere: row[:rating_ampere], standard: row[:rating_standard])
          )
        end
      end

      # @return [Wattomneum::Batteries::Battery]
      def to_core = self.class.core(values)

      # @return [Unit, nil] nil on the shelf
      def stands_in = Unit.first(id: Fitting.current.where(battery_id: id).select(:unit_id))

      # @param reason [String]
      # @return [Battery]
      # @raise [Refusals::InvalidInput] while it stands in a unit
      def scrap(reason, at:)
        unit = stands_in
        raise Refusals::InvalidInput.new("It stands in #{unit.number}: take it off first", fields: {}) if unit

        update(scrapped_at: scrapped_at || at, scrapped_because: scrapped_because || reason)
        self
      end

      # Back onto the shelf.
      #
      # @return [Battery]
      def keep
        update(scrapped_at: nil, scrapped_because: nil)
        self
      end

      # @param input [Hash] of Contracts::BatteryEdit
      # @return [Battery]
      def correct(input)
        unless input[:lock_version] == lock_version
          theirs = values.slice(:type, :rating_ampere, :rating_standard, :date_code, :lock_version)
          raise Refusals::EditConflict.new('Somebody else changed this battery meanwhile', details: { theirs: theirs })
        end

        Wattomneum::Batteries::Rating.new(ampere: input[:rating_ampere], standard: input[:rating_standard])
        update(**input.except(:lock_version), made_on: self.class.made_on(input[:date_code], Time.now.utc.to_date))
        BatteryState.work_out([id])
        self
      end
    end
  end
end
