# frozen_string_literal: true

module Server
  module Models
    # What was made of a reading at a time: a snapshot that later judgements stand beside.
    class Judgement < Sequel::Model(:judgement)
      class << self
        # @param judgement [Wattomneum::Evidence::Judgement]
        # @param occasion [String] taken or judged_again
        def keep(judgement, occasion: 'taken')
          create(reading_id: judgement.reading_id, verdict: judgement.verdict, validity: judgement.validity,
                 weight: judgement.weight, snapshot: Sequel.pg_jsonb(judgement.to_h.transform_keys(&:to_s)),
                 core_version: Wattomneum::VERSION, occasion: occasion, made_at: Sequel.function(:clock_timestamp))
        end

        # A later reading, a limit or a label may change what earlier readings are worth: where it did, that is kept beside.
        #
        # @param record [Queries::JobRecord]
        # @return [Integer] how many changed
        def keep_changed(record)
          fresh = record.assessment.judgements
          newest = newest_of(fresh.keys)
          changed = fresh.values.reject { |one| newest[one.reading_id]&.says?(one) || !newest.key?(one.reading_id) }
          changed.each { |one| keep(one, occasion: 'judged_again') }
          BatteryState.work_out(record.readings.filter_map(&:battery_id).uniq)
          UnitStanding.work_out([record.unit.id])
          changed.size
        end

        # SQL: select distinct on (reading_id) * from judgement where reading_id in ? order by reading_id, made_at desc
        #
        # @param reading_ids [Array<String>]
        # @return [Hash{String => Judgement}]
        def newest_of(reading_ids)
          where(reading_id: reading_ids).distinct(:reading_id).order(:reading_id, Sequel.desc(:made_at), :occasion, :id)
                                        .as_hash(:reading_id)
        end
      end

      # @param judgement [Wattomneum::Evidence::Judgement]
      # @return [Boolean] whether it comes to the same, by the same figures
      def says?(judgement)
        verdict == judgement.verdict && validity == judgement.validity && snapshot['summary'] == judgement.summary &&
          limit_values == judgement.limits.to_h { |limit| [limit.row_id, limit.value] }
      end

      # @return [Hash{String => Float}] what it was judged by, by row id of the limit
      def limit_values = snapshot.fetch('limits', []).to_h { |limit| [limit['row_id'], limit['value']] }
    end
  end
end
