# frozen_string_literal: true

module Server
  # What every request must be before a route sees it: an address and a query in UTF-8 and of one layer, a body in JSON.
  # Answers are never kept by a cache, nor taken for another type than they are.
  class Guard
    READING = %w[GET HEAD OPTIONS].freeze
    JSON_TYPE = %r{\Aapplication/json\b}i
    # A trace comes as it was written, or packed; it is read row by row.
    TRACES = %r{\A/api/units/[^/]+/crank-traces\z}
    TRACE_TYPE = %r{\A(text/csv|application/gzip)\b}i

    # @param app [#call]
    def initialize(app)
      @app = app
    end

    # @param env [Hash]
    # @return [Array]
    def call(env)
      status, headers, body = checked(env)
      headers['x-content-type-options'] = 'nosniff'
      headers['cache-control'] ||= 'no-store'
      [status, headers, body]
    end

    private

    def checked(env)
      check_address(env)
      check_query(env)
      check_type(env)
      @app.call(env)
    rescue Refusals::BadRequest => e
      ErrorReply.call(e)
    end

    def check_address(env)
      path = env['PATH_INFO']
      raise Refusals::BadRequest, 'The address is longer than any we have' if path.bytesize > Bounds[:path_bytes]
      return if Text.clean?(Rack::Utils.unescape_path(path))

      raise Refusals::BadRequest, 'The address holds signs that are no text'
    end

    def check_query(env)
      query = env['QUERY_STRING'].to_s
      raise Refusals::BadRequest, "What follows the ? is longer than #{Bounds[:query_bytes]} bytes" if query.bytesize > Bounds[:query_bytes]

      params = Rack::Utils.default_query_parser.parse_nested_query(query)
      odd = params.find { |name, value| !Text.clean?(name) || (!value.is_a?(String) && !value.nil?) || !Text.clean?(value.to_s) }
      raise Refusals::BadRequest, "#{Text.shown(odd.first)} must be given once, as text" if odd
    rescue Rack::QueryParser::ParameterTypeError, Rack::QueryParser::InvalidParameterError, RangeError, ArgumentError
      raise Refusals::BadRequest, 'What follows the ? cannot be read'
    end

    # A form would be read by the framework before any limit of ours.
    def check_type(env)
      return if READING.include?(env['REQUEST_METHOD']) || env['CONTENT_TYPE'].to_s.match?(JSON_TYPE)
      return if env['PATH_INFO'].match?(TRACES) && env['CONTENT_TYPE'].to_s.match?(TRACE_TYPE)
      return if env['CONTENT_LENGTH'].to_i.zero? && env['HTTP_TRANSFER_ENCODING'].nil?

      raise Refusals::BadRequest, 'Send it as application/json'
    end
  end
end
