# frozen_string_literal: true

module Wattomneum
  # How long whoever asks is ready to wait. Long computations look at it as they go along and give up in order; core has no clock of its
  # own, so the caller brings one. It holds for the thread (fiber) that set it, and only inside the block.
  class Deadline
    KEY = :wattomneum_deadline
    private_constant :KEY

    # @param seconds [Float]
    # @param clock [#call] answers seconds that only go forward
    # @yieldreturn [Object] what the block made
    # @raise [OverBudgetError] from within the block, at the next look after the time has passed
    def self.within(seconds, clock:)
      outer = Thread.current[KEY]
      Thread.current[KEY] = new(seconds, clock)
      yield
    ensure
      Thread.current[KEY] = outer
    end

    # Called inside loops that may be long; costs next to nothing where no deadline is set.
    #
    # @raise [OverBudgetError] if the time has passed
    def self.check! = Thread.current[KEY]&.check!

    # @param seconds [Float]
    # @param clock [#call]
    def initialize(seconds, clock)
      @seconds = seconds
      @clock = clock
      @ends = clock.call + seconds
    end

    # @raise [OverBudgetError]
    def check!
      return if @clock.call < @ends

      raise OverBudgetError, "this takes longer than #{Quantities::Figure.trim(@seconds, 1)} s. Ask about a smaller part of it"
    end
  end
end
