# frozen_string_literal: true

# Root namespace; see core/lib/wattomneum.rb.
module Wattomneum
  # Root of every error that core raises on purpose.
  class Error < StandardError; end

  # A number or text that cannot be the quantity it is said to be; names the field and what is allowed.
  class InvalidQuantityError < Error
    # @return [String] name of the argument that was refused
    attr_reader :field

    # @param message [String] what was expected and what came, with units
    # @param field [String, Symbol] name of the argument
    def initialize(message, field: 'value')
      super(message)
      @field = field.to_s
    end
  end

  # A table was asked outside the range it was printed for.
  class OutOfTableRangeError < Error; end

  # An iteration found no end; the message says what did not settle.
  class ConvergenceError < Error; end

  # More than is worked out at once: a sheet too large, or a question that asks for too much. The message says which is the smaller question.
  class OverBudgetError < Error; end

  # A key (limit, test, place, element, caution) that core's data does not hold.
  class UnknownKeyError < Error; end

  # A thing that the rules of the trade refuse at this point, with the reason as message.
  class RefusedError < Error; end

  # Sheets of a unit that do not go together to one circuit, with the reason as message. Nothing else means that they disagree.
  class SheetsDisagreeError < RefusedError; end
end
