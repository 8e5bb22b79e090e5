# frozen_string_literal: true

module Wattomneum
  # How much work whoever asks allows. Long computations count what they do as they go along and give up in order where it is more; what is
  # counted never depends on how busy the machine is, so that the same question has the same answer everywhere. It holds for the thread (fiber)
  # that set it, and only inside the block.
  #
  # A step is some two microseconds of a core: a node of a network solved, a value read, a pin looked at.
  class Effort
    KEY = :wattomneum_effort
    ADVICE = 'Ask about a smaller part of it'
    private_constant :KEY

    class << self
      # @param steps [Integer] at most
      # @param advice [String] what to do where it is more
      # @yieldreturn [Object] what the block made
      # @raise [OverBudgetError] from within the block, as soon as more is done
      def within(steps, advice: ADVICE)
        outer = Thread.current[KEY]
        Thread.current[KEY] = new(steps, advice)
        yield
      ensure
        Thread.current[KEY] = outer
      end

      # @yield the work
      # @return [Integer] steps that it took
      def of
        counting = nil
        within(Float::INFINITY) do
          counting = Thread.current[KEY]
          yield
        end
        counting.spent
      end

      # Called inside loops that may be long; costs next to nothing where no effort is set.
      #
      # @param steps [Integer] done since the last call
      # @raise [OverBudgetError] if that is more than is allowed
      def spend!(steps = 1) = Thread.current[KEY]&.spend!(steps)
    end

    # @return [Integer] steps done
    attr_reader :spent

    # @param steps [Integer]
    # @param advice [String]
    def initialize(steps, advice)
      @most = steps
      @advice = advice
      @spent = 0
    end

    # @param steps [Integer]
    # @raise [OverBudgetError]
    def spend!(steps)
      return if (@spent += steps) <= @most

      raise OverBudgetError, "this is more than is worked out at once. #{@advice}"
    end
  end
end
