# frozen_string_literal: true

require 'concurrent/atomic/semaphore'

module Server
  module Book
    # Prints one book at a time in a process: each keeps a core busy for seconds. Whoever asks for something else comes first.
    module Press
      PLACES = Concurrent::Semaphore.new(Bounds[:books_at_once])
      LOW_PRIORITY = -2
      private_constant :PLACES, :LOW_PRIORITY

      # @yieldreturn [String] what was printed
      # @raise [Refusals::InLine]
      def self.print
        unless PLACES.try_acquire(1, Bounds[:wait_in_line_seconds])
          raise Refusals::InLine.new('Another book is being printed just now: try again in a moment',
                                     retry_after_seconds: Bounds[:wait_in_line_seconds])
        end

        before = Thread.current.priority
        begin
          Thread.current.priority = LOW_PRIORITY
          yield
        ensure
          Thread.current.priority = before
          PLACES.release
        end
      end
    end
  end
end
