# frozen_string_literal: true

module Server
  module Contracts
    # Intake: the complaint in the driver's words, what was seen, what was already tried. Three separate things.
    class NewJob < Base
      LAMPS = ['lamps go dim', 'lamps stay bright', 'lamps die', 'charge lamp lit', 'charge lamp dark',
               'warning lamps lit'].freeze

      MOST_ATTEMPTS = 20

      json do
        required(:id).value(Types::Uuid)
        required(:unit_id).value(Types::Uuid)
        required(:symptom).hash(Symptom::FIELDS)
        required(:complaint).value(Types::Text, :filled?, max_size?: LONG_TEXT)
        optional(:seen).value(Types::Text, max_size?: LONG_TEXT)
        optional(:lamps).value(:array, max_size?: LAMPS.size).each(:string, included_in?: LAMPS)
        optional(:attempts).value(:array, max_size?: MOST_ATTEMPTS).each { hash(Attempt::FIELDS) }
      end
    end
  end
end
