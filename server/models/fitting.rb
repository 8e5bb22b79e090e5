# frozen_string_literal: true

module Server
  module Models
    # Which battery stood in which position of which unit, from when to when.
    class Fitting < Sequel::Model(:fitting)
      many_to_one :battery, class: 'Server::Models::Battery'
      many_to_one :unit, class: 'Server::Models::Unit'

      dataset_module do
        def current = where(Sequel.function(:upper_inf, :during))
      end

      # SQL: select unit_id, greatest(max(lower(during)), max(upper(during))) from fitting where unit_id in ? group by unit_id
      #
      # @param unit_ids [Array<String>]
      # @return [Hash{String => Time}] when a battery last came in or went, by unit
      def self.changed_at(unit_ids)
        came, went = %i[lower upper].map { |bound| Sequel.function(:max, Sequel.function(bound, :during)) }
        where(unit_id: unit_ids).group(:unit_id).select_hash(:unit_id, Sequel.function(:greatest, came, went).as(:changed_at))
      end

      # @raise [Refusals::InvalidInput] if the position is taken or the battery stands elsewhere
      def self.place(unit_id:, battery_id:, position:, at:)
        during = Sequel::Postgres::PGRange.new(at, nil, exclude_end: true, db_type: 'tstzrange')
        db.transaction(savepoint: true) do
          create(unit_id: unit_id, battery_id: battery_id, position: position, during: during)
        end
      rescue Sequel::Postgres::ExclusionConstraintViolation
        raise Refusals::InvalidInput.new("Position #{position} is taken, or that battery stands in another unit: take it off first",
                                         fields: { 'position' => ['is taken'] })
      end

      # @param time [Time]
      # @return [Fitting]
      def end_at(time)
        update(during: Sequel::Postgres::PGRange.new(during.begin, [time, during.begin + 0.001].max, exclude_end: true,
                                                                                                     db_type: 'tstzrange'))
      end
    end
  end
end
