# frozen_string_literal: true

module Server
  module Models
    # When something was read: on a device whose clock may be a little ahead, never in the future.
    module EntryTime
      FUTURE_SECONDS = 120

      # @param said [Time, nil]
      # @param now [Time]
      # @return [Time]
      # @raise [Refusals::InvalidInput]
      def self.check(said, now)
        time = said || now
        return time if time <= now + FUTURE_SECONDS

        raise Refusals::InvalidInput.of({ 'taken_at' => ['lies in the future: set the clock of this device'] })
      end
    end
  end
end
