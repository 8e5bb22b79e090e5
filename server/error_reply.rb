# frozen_string_literal: true

module Server
  # An error as the caller gets it: one shape, made anew each time, since what a reply holds is changed on its way out.
  module ErrorReply
    OUR_FAULT = 'Something broke on our side. What you typed is kept; try again'

    # @param error [StandardError] of a class in ErrorMap, or any other, which is ours
    # @return [Array(Integer, Hash, Array<String>)]
    def self.call(error)
      status, code = ErrorMap.for(error)
      headers = { 'content-type' => 'application/json' }
      headers['retry-after'] = error.retry_after_seconds.to_s if error.respond_to?(:retry_after_seconds)
      [status, headers, [JSON.generate(error: { code: code, message: status == 500 ? OUR_FAULT : error.message, fields: fields_of(error),
                                                **(error.respond_to?(:details) ? error.details : {}) })]]
    end

    def self.fields_of(error)
      return { error.field => [error.message] } if error.respond_to?(:field)

      error.respond_to?(:fields) ? error.fields : {}
    end
    private_class_method :fields_of
  end
end
