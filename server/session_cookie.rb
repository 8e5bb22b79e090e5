# frozen_string_literal: true

module Server
  # The token of a session, between browser and server: set when somebody signs in, taken back when they sign out, and in no other reply.
  module SessionCookie
    NAME = 'wattomneum.session'
    DEVICE = 'wattomneum.device'
    DEVICE_SECONDS = 400 * 86_400
    private_constant :DEVICE, :DEVICE_SECONDS

    # @param request [Rack::Request]
    # @return [String, nil]
    def self.token(request) = request.cookies[NAME]

    # @param response [Rack::Response]
    # @param token [String]
    def self.give(response, token) = response.set_cookie(NAME, options.merge(value: token, max_age: Bounds[:session_age_hours] * 3600))

    # What tells a device at which somebody has signed in from any other; it opens nothing, and stays when they sign out.
    #
    # @param request [Rack::Request]
    # @return [String, nil]
    def self.device_token(request) = request.cookies[DEVICE]

    # @param response [Rack::Response]
    # @param token [String]
    def self.give_device(response, token) = response.set_cookie(DEVICE, options.merge(value: token, max_age: DEVICE_SECONDS))

    # @param response [Rack::Response]
    def self.take_back(response) = response.delete_cookie(NAME, options)

    def self.options = { path: '/', httponly: true, same_site: :strict, secure: CONFIG.secure_session? }
    private_class_method :options
  end
end
