# frozen_string_literal: true

module Server
  # Who asks, by the address of their device. What a proxy says of it is believed of the proxies that were named, and of nobody else: a header
  # of one's own choice names whatever one likes.
  class Proxies
    SAID = %w[HTTP_X_FORWARDED_FOR HTTP_X_FORWARDED_HOST HTTP_X_FORWARDED_PORT HTTP_X_FORWARDED_PROTO HTTP_X_FORWARDED_SCHEME HTTP_X_FORWARDED_SSL
              HTTP_FORWARDED].freeze
    ADDRESS = 'wattomneum.client_address'
    private_constant :SAID, :ADDRESS

    # @param env [Hash]
    # @return [String] as call found it
    def self.client_address(env) = env.fetch(ADDRESS)

    # @param app [#call]
    # @param trusted [Array<IPAddr>]
    def initialize(app, trusted: CONFIG.proxies)
      @app = app
      @trusted = trusted
    end

    # @param env [Hash]
    # @return [Array]
    def call(env)
      near = env['REMOTE_ADDR'].to_s
      env[ADDRESS] = trusted?(near) ? far_end(env['HTTP_X_FORWARDED_FOR'].to_s, near) : near
      SAID.each { |header| env.delete(header) } unless trusted?(near)
      @app.call(env)
    end

    private

    # The nearest one that is no proxy of ours; what stands before it anybody may have written.
    def far_end(line, near)
      line.split(',').map(&:strip).reverse.find { |address| !trusted?(address) } || near
    end

    def trusted?(address)
      ip = IPAddr.new(address)
      @trusted.any? { |one| one.include?(ip) }
    rescue IPAddr::Error
      false
    end
  end
end
