# frozen_string_literal: true

module Server
  module Models
    # What was made of a reading at a time: a snapshot that later judgements stand beside.
    class Judgement < Sequel::Model(:judgement)
      # @param judgement [Wattomneum::Evidence::Judgement]
      # @param occasion [String] taken or judged_again
      def self.keep(judgement, occasion: 'taken')
        create(reading_id: judgement.reading_id, verdict: judgement.verdict, validity: judgement.validity,
               weight: judgement.weight, snapshot: Sequel.pg_jsonb(judgement.to_h.transform_keys(&:to_s)),
               core_version: Wattomneum::VERSION, occasion: occasion)
      end
    end
  end
end
