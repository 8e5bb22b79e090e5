# frozen_string_literal: true

module Server
  module Contracts
    # A repair: what, where, why, how, with what, how long, for good or for now, and what was disturbed to get there.
    class NewRepair < Base
      ACTIONS = %w[cleaned tightened replaced repaired rerouted adjusted charged].freeze
      MOST_DAYS = Wattomneum::Limits::Table.shipped.fetch('repair.temporary_days').value.to_i
      TOO_LONG = "a temporary repair holds #{MOST_DAYS} days at most: name a day within them".freeze
      private_constant :MOST_DAYS, :TOO_LONG

      json do
        required(:id).value(Types::Uuid)
        optional(:element).maybe(:string, included_in?: Wattomneum::Units::Parts::ALL.map(&:key))
        optional(:unit).maybe(:string, max_size?: 160)
        optional(:position).maybe(:string, included_in?: Wattomneum::Units::ElectricalSystem::POSITIONS)
        optional(:place).value(Types::Text, max_size?: SHORT_TEXT)
        required(:cause).value(:string, included_in?: Wattomneum::Jobs::Causes::ALL)
        required(:action).value(:string, included_in?: ACTIONS)
        optional(:parts).value(Types::Text, max_size?: LONG_TEXT)
        required(:minutes).value(:integer, gteq?: 0, lteq?: 6000)
        required(:temporary).value(:bool)
        optional(:temporary_reason).maybe(Types::Text, max_size?: LONG_TEXT)
        optional(:temporary_until).maybe(:date)
        optional(:failing_reading_id).maybe(Types::Uuid)
        optional(:disturbed).value(:array, max_size?: 20).each(Types::Text, max_size?: SHORT_TEXT)
      end

      rule(:element, :unit) do
        key(:element).failure('name the part, or what of the circuit was mended') unless values[:element].nil? ^ values[:unit].nil?
      end

      rule(:temporary_until).validate(:in_our_time)

      rule(:temporary, :temporary_until, :temporary_reason) do
        next unless values[:temporary]

        key(:temporary_until).failure('a temporary repair needs a day until it holds') if values[:temporary_until].nil?
        key(:temporary_until).failure(TOO_LONG) if values[:temporary_until] && values[:temporary_until] > Date.today + MOST_DAYS
        key(:temporary_reason).failure('say why it is temporary') if values[:temporary_reason].to_s.empty?
      end
    end
  end
end
