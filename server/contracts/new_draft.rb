# frozen_string_literal: true

module Server
  module Contracts
    # A sheet to write: from a version of it, as another sheet where a key is given too, or from nothing.
    class NewDraft < Base
      json do
        required(:id).value(Types::Uuid)
        optional(:version_id).maybe(Types::Uuid)
        optional(:key).maybe(Types::Text, format?: /\A[a-z0-9][a-z0-9_]{0,60}\z/)
        optional(:title).maybe(Types::Text, max_size?: SHORT_TEXT)
        optional(:system_volt).maybe(:integer, included_in?: Wattomneum::Units::ElectricalSystem::SYSTEM_VOLTS)
      end
    end
  end
end
