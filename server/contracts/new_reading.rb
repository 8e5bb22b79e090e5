# frozen_string_literal: true

module Server
  module Contracts
    # A reading as the pad sends it: text and unit as entered; core parses and judges.
    class NewReading < Base
      CATALOGUE = Wattomneum::Readings::Catalogue

      FIELDS = Dry::Schema.define do
        required(:id).value(Types::Uuid)
        optional(:value_text).value(Types::Text, max_size?: 60)
        optional(:unit).value(:string, max_size?: 10)
        optional(:cells_text).array(Types::Text, max_size?: 6)
        optional(:observation).value(:string, max_size?: 40)
        optional(:state).value(:string, included_in?: CATALOGUE::STATES.keys)
        optional(:instrument).value(:string, included_in?: CATALOGUE::INSTRUMENTS)
        optional(:conditions).value(:hash)
        optional(:taken_at).value(:time)
        optional(:acknowledged).array(:string, included_in?: Wattomneum::Safety::Cautions::BY_ID.keys)
      end

      json(FIELDS) do
        required(:test_key).value(:string, included_in?: CATALOGUE::BY_KEY.keys)
        optional(:position).maybe(:string, included_in?: Wattomneum::Systems::ElectricalSystem::POSITIONS)
      end

      # What somebody said about a reading: yes, no, not said, or a figure as typed. Core knows which goes with which.
      rule(:conditions) do
        next if values[:conditions].nil?

        values[:conditions].each do |name, said|
          known = Wattomneum::Evidence::Conditions::DEFINITIONS.key?(name.to_s)
          key([:conditions, name]).failure('is not known here') unless known
          unless said.is_a?(String) || said.is_a?(Numeric)
            key([:conditions,
                 name]).failure('must be yes, no or a figure')
          end
        end
      end
    end
  end
end
