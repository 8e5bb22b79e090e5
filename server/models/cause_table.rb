# frozen_string_literal: true

require 'digest'

module Server
  module Models
    # How strongly everything works with each fault of one circuit (a sheet version with its overrides), or how far that is worked out.
    class CauseTable < Sequel::Model(:cause_table)
      unrestrict_primary_key
      PROGRAM = [Wattomneum::VERSION, Wattomneum::Circuits::Questions::CommonCause::SIGNATURE].freeze
      private_constant :PROGRAM

      class << self
        # Another program works out another table.
        #
        # @param version [SheetVersion]
        # @param overrides [Hash]
        # @return [String]
        def key_of(version, overrides) = Digest::SHA256.hexdigest(JSON.generate([PROGRAM, version.digest, overrides.to_h]))

        # Asked for by several at once, it is worked out once.
        #
        # @return [CauseTable]
        def order(version, overrides, total:)
          key = key_of(version, overrides)
          fresh = dataset.insert_conflict(target: :key).returning(:key)
                         .insert(key: key, version_id: version.id, overrides: Sequel.pg_jsonb(overrides.to_h), total: total)
          Workers::WorkOutCauses.enqueue(key) if fresh.to_a.any?
          with_pk!(key)
        end
      end

      # After which an order that nobody began on is tried where it was asked for: the queue worker may be away.
      LEFT_ALONE_SECONDS = 5

      # @return [Boolean]
      def finished? = !strengths.nil?

      # @param now [Time]
      # @return [Boolean]
      def left_alone?(now) = !finished? && done.zero? && asked_at < now - LEFT_ALONE_SECONDS
    end
  end
end
