# frozen_string_literal: true

module Server
  # From error class to HTTP status and code; the first class that matches wins. Core knows nothing of this.
  module ErrorMap
    TABLE = {
      Refusals::NotSignedIn => [401, 'not_signed_in'],
      Refusals::WrongPassword => [401, 'wrong_password'],
      Refusals::NotAllowed => [403, 'not_allowed'],
      Refusals::NotFound => [404, 'not_found'],
      Refusals::WrongVerb => [405, 'wrong_verb'],
      Refusals::EditConflict => [409, 'edit_conflict'],
      Refusals::IdTaken => [409, 'id_taken'],
      Refusals::RequestConflict => [409, 'request_conflict'],
      Refusals::InvalidInput => [422, 'invalid_input'],
      Refusals::Question => [422, 'question'],
      Refusals::UnreadableSheet => [422, 'unreadable_sheet'],
      Refusals::TooLarge => [413, 'too_large'],
      Refusals::BadRequest => [400, 'bad_request'],
      Refusals::Locked => [429, 'locked'],
      Refusals::InLine => [503, 'in_line'],
      Refusals::Later => [503, 'later'],
      Wattomneum::InvalidQuantityError => [422, 'invalid_input'],
      Wattomneum::UnknownKeyError => [422, 'invalid_input'],
      Wattomneum::OverBudgetError => [422, 'over_budget'],
      Wattomneum::RefusedError => [422, 'refused'],
      Wattomneum::Error => [422, 'invalid_input']
    }.freeze

    OURS = [500, 'our_fault'].freeze

    # @param error [StandardError]
    # @return [Array(Integer, String)] HTTP status and code; what is not in the table is our own fault
    def self.for(error) = TABLE.find { |type, _| error.is_a?(type) }&.last || OURS
  end
end
