# frozen_string_literal: true

module Server
  module Presenters
    # What a browser says of itself, in the few words by which somebody knows their phone from the bench's laptop.
    module Device
      BROWSERS = [[/Firefox/, 'Firefox'], [/Edg/, 'Edge'], [/Chrom/, 'Chromium'], [/Safari/, 'Safari']].freeze
      SYSTEMS = [[/Android/, 'Android'], [/iPhone|iPad/, 'iOS'], [/Windows/, 'Windows'], [/Mac OS/, 'macOS'], [/Linux/, 'Linux']].freeze
      UNKNOWN = 'A device that does not say what it is'

      # @param user_agent [String]
      # @return [String]
      def self.words(user_agent)
        found = [BROWSERS, SYSTEMS].filter_map { |known| known.find { |pattern, _| user_agent.match?(pattern) }&.last }
        found.empty? ? UNKNOWN : found.join(' on ')
      end
    end
  end
end
