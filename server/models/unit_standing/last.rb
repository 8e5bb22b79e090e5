# frozen_string_literal: true

module Server
  module Models
    class UnitStanding
      # The newest standing figure of each of some readings, with what it was judged to be.
      module Last
        # SQL: select distinct on (test_key) test_key, value, taken_at, conditions, judged.verdict from reading
        #      join lateral (its newest judgement) as judged on true where unit_id = ? and test_key in ? and value is not null and <standing>
        #      order by test_key, taken_at desc
        #
        # @param unit [Unit]
        # @param test_keys [Array<String>]
        # @return [Array<Hash>]
        def self.of(unit, test_keys)
          judged = Judgement.where(reading_id: Sequel[:reading][:id]).order(Sequel.desc(:made_at), :occasion).limit(1)
          Reading.standing.where(unit_id: unit.id, test_key: test_keys).exclude(value: nil).join(judged.lateral.as(:judged), true)
                 .distinct(:test_key).order(:test_key, Sequel.desc(:taken_at), Sequel.desc(:received_at))
                 .select(:test_key, :value, :taken_at, :conditions, :verdict).naked.all
        end
      end
    end
  end
end
