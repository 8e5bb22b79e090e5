# frozen_string_literal: true

module Server
  # A few places for heavy work in this process, shared between people: nobody has two of them while somebody else waits, and whoever has many
  # questions waiting is told so at once instead of filling the line. Work inside of other work of the same thread takes no second place.
  class FairPlaces
    # @param places [Integer] at once
    # @param waiting_each [Integer] how many of one person's may wait
    # @param wait_seconds [Numeric] how long somebody else's turn is waited for
    # @param words [String] what is said to whoever gets no place
    def initialize(places, waiting_each:, wait_seconds:, words:)
      @free = places
      @waiting_each = waiting_each
      @wait_seconds = wait_seconds
      @words = words
      @line = []
      @at_work = Hash.new(0)
      @lock = Mutex.new
      @mine = :"fair_places_#{object_id}"
    end

    # @param person [Object] who asks
    # @yieldreturn [Object] what the block made
    # @raise [Refusals::InLine]
    def take(person)
      return yield if Thread.current[@mine]

      wait_for(person)
      begin
        Thread.current[@mine] = true
        yield
      ensure
        Thread.current[@mine] = nil
        @lock.synchronize { give_back(person) }
      end
    end

    private

    # One that waits, until its turn comes.
    Turn = Struct.new(:person, :comes, :given)
    private_constant :Turn

    def wait_for(person)
      @lock.synchronize do
        refuse if @line.count { |turn| turn.person == person } >= @waiting_each
        turn = Turn.new(person, ConditionVariable.new, false)
        @line << turn
        give_out
        wait_in_line(turn)
      end
    end

    def wait_in_line(turn)
      ends = now + @wait_seconds
      turn.comes.wait(@lock, ends - now) until turn.given || now >= ends
      return if turn.given

      @line.delete(turn)
      refuse
    end

    def give_back(person)
      @free += 1
      @at_work.delete(person) if (@at_work[person] -= 1).zero?
      give_out
    end

    # The one who has least at work goes first, of those whoever came first; a second place only where nobody else waits, and never the last one.
    def give_out
      while @free.positive? && (turn = @line.min_by.with_index { |one, at| [@at_work[one.person], at] })
        break if @at_work.key?(turn.person) && @free < 2

        @line.delete(turn)
        @free -= 1
        @at_work[turn.person] += 1
        turn.given = true
        turn.comes.signal
      end
    end

    def refuse = raise(Refusals::InLine.new(@words, retry_after_seconds: Bounds[:wait_in_line_seconds]))
    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
