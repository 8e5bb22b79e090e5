# frozen_string_literal: true

module Server
  module Contracts
    # What a complaint is about: starting, charging, or one component of the circuit in one situation.
    module Symptom
      FIELDS = Dry::Schema.define do
        required(:work).value(:string, included_in?: Wattomneum::Faults::OrdersOfWork::ALL.map(&:key))
        optional(:part).maybe(:string, max_size?: 80)
        optional(:situation).maybe(:string, max_size?: 40)
        optional(:seen).value(:string, included_in?: Wattomneum::Faults::OrdersOfWork::WAYS_KNOWN)
      end
    end
  end
end
