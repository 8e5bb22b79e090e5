# frozen_string_literal: true

module Server
  # The token of a session, between browser and server: set when somebody signs in, taken back when they sign out, and in no other reply.
  module SessionCookie
    NAME = 'wattomneum.session'

    # @param request [Rack::Request]
    # @return [String, nil]
    def self.token(request) = request.cookies[NAME]

    # @param response [Rack::Response]
    # @param token [String]
    def self.give(response, token) = response.set_cookie(NAME, options.merge(value: token, max_age: Bounds[:session_age_hours] * 3600))

    # @param response [Rack::Response]
    def self.take_back(response) = response.delete_cookie(NAME, options)

    def self.options = { path: '/', httponly: true, same_site: :strict, secure: CONFIG.secure_session? }
    private_class_method :options
  end
end
