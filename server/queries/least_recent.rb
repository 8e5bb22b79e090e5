# frozen_string_literal: true

module Server
  module Queries
    # Keeps what was made for a key, up to a number; beyond it, what was not asked for the longest goes. Safe between threads.
    class LeastRecent
      # @param most [Integer]
      def initialize(most)
        @most = most
        @kept = {}
        @lock = Mutex.new
      end

      # Made outside the lock: two threads may make the same thing once each, none waits for another's.
      #
      # @param key [Object]
      # @yieldreturn [Object]
      # @return [Object]
      def fetch(key)
        found = @lock.synchronize { touch(key) }
        return found if found

        made = yield
        @lock.synchronize { touch(key) || keep(key, made) }
      end

      # @return [Integer]
      def size = @lock.synchronize { @kept.size }

      private

      # A hash keeps its order: taken out and put back is newest.
      def touch(key)
        found = @kept.delete(key)
        @kept[key] = found if found
      end

      def keep(key, made)
        @kept.delete(@kept.first.first) if @kept.size >= @most
        @kept[key] = made
      end
    end
  end
end
