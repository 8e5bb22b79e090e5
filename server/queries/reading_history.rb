# frozen_string_literal: true

module Server
  module Queries
    # All readings of a unit with their places, conditions, judgement and fate, oldest first: a lot at a time, so that years of them take no
    # more memory than a week, and no connection is held while somebody's line is slow.
    class ReadingHistory
      include Enumerable

      LOT = 500
      private_constant :LOT

      # @param unit_id [String]
      def initialize(unit_id:)
        @unit_id = unit_id
      end

      # @yieldparam row [Hash]
      def each(&block)
        lot = rows.limit(LOT).all
        until lot.empty?
          lot.each(&block)
          lot = after(lot.last).limit(LOT).all
        end
      end

      private

      def after(row)
        rows.where(Sequel.lit('(reading.taken_at, reading.id) > (select taken_at, id from reading where id = ?)', row[:id]))
      end

      # SQL: select reading.*, names and labels from reading left join place (twice), battery, account, job, withdrawal,
      #      the reading that supersedes it, and its first judgement, where unit_id = ? and (taken_at, id) > (?, ?) order by taken_at, id limit 500
      def rows
        DB[:reading].where(Sequel[:reading][:unit_id] => @unit_id)
                    .left_join(:place, { id: Sequel[:reading][:from_place_id] }, table_alias: :from_place)
                    .left_join(:place, { id: Sequel[:reading][:to_place_id] }, table_alias: :to_place)
                    .left_join(:battery, id: Sequel[:reading][:battery_id])
                    .left_join(:account, id: Sequel[:reading][:person_id])
                    .left_join(:job, id: Sequel[:reading][:job_id])
                    .left_join(:withdrawal, reading_id: Sequel[:reading][:id])
                    .left_join(:reading, { supersedes_id: Sequel[:reading][:id] }, table_alias: :better)
                    .left_join(:judgement, { reading_id: Sequel[:reading][:id], occasion: 'taken' })
                    .order(Sequel[:reading][:taken_at], Sequel[:reading][:id])
                    .select_all(:reading)
                    .select_append do |o|
          [o.from_place[:label].as(:from_label), o.to_place[:label].as(:to_label), o.battery[:tag],
           o.account[:name].as(:person), o.job[:number].as(:job_number), o.judgement[:verdict],
           o.judgement[:validity], o.judgement[:weight], o.better[:id].as(:superseded_by_id),
           o.withdrawal[:reason].as(:withdrawn_because)]
        end
      end
    end
  end
end
