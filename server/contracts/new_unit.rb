# frozen_string_literal: true

module Server
  module Contracts
    # A unit as it is first entered, and the fields that edits share.
    class NewUnit < Base
      KINDS = ['truck', 'bus', 'tractor', 'generator set', 'telehandler', 'excavator', 'tracked carrier', 'loader',
               'other'].freeze

      FIELDS = Dry::Schema.define do
        required(:number).value(Types::Text, :filled?, max_size?: 20)
        required(:name).value(Types::Text, :filled?, max_size?: 80)
        required(:kind).value(:string, included_in?: KINDS)
        required(:yard_id).value(Types::Uuid)
        required(:system_volt).value(:integer, included_in?: Wattomneum::Units::ElectricalSystem::SYSTEM_VOLTS)
        required(:arrangement).value(:string, included_in?: Wattomneum::Units::ElectricalSystem::ARRANGEMENTS)
        required(:battery_count).value(:integer, gteq?: 0, lteq?: 4)
        required(:usual_cranking_current_ampere).maybe(Types::Number, gt?: 0, lteq?: 3000)
        optional(:alternator_rating_ampere).maybe(Types::Number, gt?: 0, lteq?: 1000)
        required(:has_isolator).value(:bool)
        required(:has_sense).value(:bool)
        optional(:regulator).value(:string, included_in?: Wattomneum::Units::ElectricalSystem::REGULATORS)
        optional(:neutral_interlock).value(:bool)
        optional(:grounding).value(:string, included_in?: Wattomneum::Units::ElectricalSystem::GROUNDINGS)
        optional(:has_equaliser).value(:bool)
        optional(:heat_aid).value(:bool)
        optional(:control_unit).value(:bool)
        optional(:automatic_start).value(:bool)
        optional(:matters).value(:string, included_in?: Wattomneum::ColdStart::Consequence::KEYS)
        optional(:exposure).value(:string, included_in?: Wattomneum::Readings::Due::EXPOSURES)
        optional(:make).maybe(Types::Text, max_size?: 40)
        optional(:model).maybe(Types::Text, max_size?: 40)
      end

      json(FIELDS) do
        required(:id).value(Types::Uuid)
      end
    end
  end
end
