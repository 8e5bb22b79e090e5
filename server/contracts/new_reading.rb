# frozen_string_literal: true

module Server
  module Contracts
    # A reading as the pad sends it: text and unit as entered; core parses and judges.
    class NewReading < Base
      CATALOGUE = Wattomneum::Readings::Catalogue

      FIELDS = Dry::Schema.JSON do
        required(:id).value(Types::Uuid)
        optional(:value_text).value(Types::Text, max_size?: 60)
        optional(:unit).value(:string, max_size?: 10)
        optional(:cells_text).array(Types::Text, max_size?: 6)
        optional(:observation).value(:string, max_size?: 40)
        optional(:state).value(:string, included_in?: CATALOGUE::STATES.keys)
        optional(:instrument).value(:string, included_in?: CATALOGUE::INSTRUMENTS)
        # Yes, no, not said, or a figure as typed: core knows which goes with which.
        optional(:conditions).hash { Wattomneum::Evidence::Conditions::DEFINITIONS.each_key { |key| optional(key.to_sym) } }
        optional(:taken_at).value(:time)
        optional(:acknowledged).value(:array, max_size?: 20).each(:string, included_in?: Wattomneum::Safety::Cautions::BY_ID.keys)
      end

      # Between two points of the unit's circuit, named as its drawings name them.
      PROBE = Dry::Schema.define do
        required(:by).value(:string, included_in?: Wattomneum::Readings::Methods::ALL.map(&:key))
        required(:from).value(Types::Text, :filled?, max_size?: 120)
        required(:to).value(Types::Text, :filled?, max_size?: 120)
        required(:situation).value(:string, max_size?: 40)
        optional(:opened).value(:array, max_size?: Wattomneum::Readings::Probe::MOST_OPENED).each(:string, max_size?: 80)
      end

      # Read in the same act, with what is said of the first.
      TOGETHER = Dry::Schema.define do
        required(:id).value(Types::Uuid)
        required(:test_key).value(:string, included_in?: CATALOGUE::BY_KEY.keys)
        required(:value_text).value(Types::Text, max_size?: 60)
        optional(:unit).value(:string, max_size?: 10)
        optional(:conditions).hash { optional(:value_confirmed) }
      end
      MOST_TOGETHER = 5

      json(FIELDS) do
        optional(:test_key).value(:string, included_in?: CATALOGUE::BY_KEY.keys)
        optional(:position).maybe(:string, included_in?: Wattomneum::Units::ElectricalSystem::POSITIONS)
        optional(:probe).hash(PROBE)
        optional(:together).value(:array, max_size?: MOST_TOGETHER).each { hash(TOGETHER) }
      end

      rule(:together) do
        next unless key?

        key.failure('goes with a test that the whole unit has') unless values.key?(:test_key) && values[:position].nil?
        tests = [values[:test_key], *value.map { |one| one[:test_key] }]
        key.failure('names a test twice') if tests.uniq.size < tests.size
      end

      rule(:test_key, :probe) do
        key(:test_key).failure('name a test, or the two points it was read between') unless values.key?(:test_key) ^ values.key?(:probe)
      end

      rule(:taken_at).validate(:in_our_time)
    end
  end
end
