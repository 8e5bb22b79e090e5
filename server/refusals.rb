# frozen_string_literal: true

module Server
  # Reasons to refuse a request, each told apart by whoever called.
  module Refusals
    # Base: a message for people, and fields named as in the request.
    class Refusal < StandardError
      attr_reader :fields, :details

      def initialize(message, fields: {}, details: {})
        super(message)
        @fields = fields
        @details = details
      end
    end

    # Nobody is signed in, or the session has run out.
    class NotSignedIn < Refusal
      def initialize = super('You are signed out. What you typed is kept: sign in and go on')
    end

    # E-mail or password is wrong, which is all that is said of either.
    class WrongPassword < Refusal; end

    # Something that may be asked again later, and when.
    class Later < Refusal
      attr_reader :retry_after_seconds

      def initialize(message, retry_after_seconds:)
        super(message)
        @retry_after_seconds = retry_after_seconds
      end
    end

    # Too many wrong passwords.
    class Locked < Later; end

    # No place just now among the few that are worked on at once.
    class InLine < Later; end

    # The role does not allow the action.
    class NotAllowed < Refusal; end

    # No such row, or not one this person may see.
    class NotFound < Refusal; end

    # Somebody else changed the row; details hold both versions.
    class EditConflict < Refusal; end

    # The id that the sender made for a row belongs to another row.
    class IdTaken < Refusal; end

    # A request id came back with another body.
    class RequestConflict < Refusal; end

    # Shape, type or presence is wrong; one sentence a field.
    class InvalidInput < Refusal
      # More than these are not said at once.
      MOST_SAID = 3
      private_constant :MOST_SAID

      # @param fields [Hash{String => Array<String>}] what is wrong with each, as the rest of a sentence: "is no number: write digits"
      # @return [InvalidInput] that names the fields as the screens do
      def self.of(fields)
        said = fields.first(MOST_SAID).map { |field, (sentence)| FieldLabels.said(field, sentence) }
        more = fields.size - said.size
        new([*said, *("#{more} more below" if more.positive?)].join('. '), fields: fields)
      end
    end

    # The value is possible but odd: the reader is asked before it is judged. details hold the options.
    class Question < Refusal; end

    # A sheet that cannot be read; details hold every objection with line, column and way out.
    class UnreadableSheet < Refusal
      # @param problems [Array<Wattomneum::Circuits::Notation::Problem>]
      def initialize(problems)
        more = problems.size > 1 ? ", and #{problems.size - 1} more" : ''
        shown = problems.first(Bounds[:sheet_problems_shown]).map(&:to_h)
        super("The sheet was not taken: #{problems.first}#{more}. Nothing was changed", details: { problems: shown })
      end
    end

    # The address is known, but not for this.
    class WrongVerb < Refusal; end

    # The request is not JSON, or not an object.
    class BadRequest < Refusal; end

    # More than is taken at once.
    class TooLarge < BadRequest; end
  end
end
