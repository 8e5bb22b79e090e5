# frozen_string_literal: true

module Server
  module Presenters
    # Where somebody is signed in.
    module Sessions
      # @param sessions [Array<Models::Session>] running, newest first
      # @param own_id [String] of the one that asks
      def self.call(sessions, own_id)
        { sessions: sessions.map do |one|
          { id: one.id, device: Device.words(one.device), client_address: one.client_address, begun_at: one.begun_at.iso8601,
            seen_at: one.seen_at.iso8601, this: one.id == own_id }
        end }
      end
    end
  end
end
