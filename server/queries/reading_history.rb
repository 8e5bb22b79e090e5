# frozen_string_literal: true

module Server
  module Queries
    # All readings of a unit with their places, conditions, judgement and fate, oldest first.
    class ReadingHistory
      # @param unit_id [String]
      def initialize(unit_id:)
        @unit_id = unit_id
      end

      # SQL: select reading.*, names and labels from reading left join place (twice), battery, account, job, withdrawal,
      #      the reading that supersedes it, and its first judgement, where unit_id = ? order by taken_at
      #
      # @return [Array<Hash>]
      def call
        DB[:reading].where(Sequel[:reading][:unit_id] => @unit_id)
                    .left_join(:place, { id: Sequel[:reading][:from_place_id] }, table_alias: :from_place)
                    .left_join(:place, { id: Sequel[:reading][:to_place_id] }, table_alias: :to_place)
                    .left_join(:battery, id: Sequel[:reading][:battery_id])
                    .left_join(:account, id: Sequel[:reading][:person_id])
                    .left_join(:job, id: Sequel[:reading][:job_id])
                    .left_join(:withdrawal, reading_id: Sequel[:reading][:id])
                    .left_join(:reading, { supersedes_id: Sequel[:reading][:id] }, table_alias: :better)
                    .left_join(:judgement, { reading_id: Sequel[:reading][:id], occasion: 'taken' })
                    .order(Sequel[:reading][:taken_at], Sequel[:reading][:received_at])
                    .select_all(:reading)
                    .select_append do |o|
          [o.from_place[:label].as(:from_label), o.to_place[:label].as(:to_label), o.battery[:tag],
           o.account[:name].as(:person), o.job[:number].as(:job_number), o.judgement[:verdict],
           o.judgement[:validity], o.judgement[:weight], o.better[:id].as(:superseded_by_id),
           o.withdrawal[:reason].as(:withdrawn_because)]
        end.all
      end
    end
  end
end
