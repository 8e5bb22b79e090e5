# frozen_string_literal: true

module Server
  # From error class to HTTP status and code; the first class that matches wins. Core knows nothing of this.
  module ErrorMap
    TABLE = {
      Refusals::NotSignedIn => [401, 'not_signed_in'],
      Refusals::NotAllowed => [403, 'not_allowed'],
      Refusals::NotFound => [404, 'not_found'],
      Refusals::EditConflict => [409, 'edit_conflict'],
      Refusals::RequestConflict => [409, 'request_conflict'],
      Refusals::InvalidInput => [422, 'invalid_input'],
      Refusals::Question => [422, 'question'],
      Refusals::UnreadableSheet => [422, 'unreadable_sheet'],
      Refusals::BadRequest => [400, 'bad_request'],
      Wattomneum::InvalidQuantityError => [422, 'invalid_input'],
      Wattomneum::UnknownKeyError => [422, 'invalid_input'],
      Wattomneum::RefusedError => [422, 'refused'],
      Wattomneum::Error => [422, 'invalid_input']
    }.freeze

    # @param error [StandardError] of a class in TABLE
    # @return [Array(Integer, String)] HTTP status and code
    def self.for(error) = TABLE.find { |type, _| error.is_a?(type) }.last
  end
end
