# frozen_string_literal: true

module Server
  module Contracts
    # A defect that was seen and not mended.
    class NewNotice < Base
      json do
        required(:id).value(Types::Uuid)
        required(:what).value(Types::Text, :filled?, max_size?: SHORT_TEXT)
        required(:severity).value(:string, included_in?: Models::Notice::SEVERITIES)
        optional(:place).value(Types::Text, max_size?: SHORT_TEXT)
        optional(:suspects).value(Types::Text, max_size?: SHORT_TEXT)
        optional(:until).maybe(:date)
      end

      rule(:until).validate(:in_our_time)

      rule(:severity, :until) do
        watched = values[:severity] == 'watch'
        key(:until).failure('say until when it is watched') if watched && values[:until].nil?
        key(:until).failure('goes with what is watched') if !watched && values[:until]
      end
    end
  end
end
