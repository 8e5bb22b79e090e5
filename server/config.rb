# frozen_string_literal: true

require 'ipaddr'

module Server
  # Settings: read from the environment once, checked, frozen, passed on.
  class Config
    attr_reader :database_url, :environment, :argon_cost, :hosts, :proxies

    # @param env [Hash{String => String}]
    # @raise [ArgumentError] naming the variable that is missing or wrong
    def initialize(env)
      @environment = env.fetch('APP_ENV', 'production')
      @database_url = env.fetch('DATABASE_URL') { raise ArgumentError, 'DATABASE_URL is not set: start with bin/start' }
      @secure_session = env.fetch('SESSION_SECURE', '0') == '1'
      @argon_cost = test? ? { t_cost: 1, m_cost: 5 } : { t_cost: 2, m_cost: 15 }
      @hosts = %w[127.0.0.1 localhost] + env.fetch('HOSTS', '').split(',')
      @proxies = proxies_of(env.fetch('PROXIES', '')).freeze
      @weather_url = weather_of(env['WEATHER_URL'].to_s)
      freeze
    end

    # @return [Boolean]
    def test? = environment == 'test'

    # @return [String, nil] of a service that is asked how cold it gets
    attr_reader :weather_url

    # @return [Boolean] whether the cookie goes over TLS only
    def secure_session? = @secure_session

    private

    def proxies_of(text)
      text.split(',').map do |one|
        IPAddr.new(one.strip)
      rescue IPAddr::Error
        raise ArgumentError, "PROXIES names addresses or networks with commas between them, as in 10.0.0.5,10.1.0.0/16; got #{one.strip}"
      end
    end

    def weather_of(url)
      return if url.empty?
      return url.chomp('/') if url.match?(%r{\Ahttps?://[^/\s]+})

      raise ArgumentError, "WEATHER_URL must begin with http:// or https://, got #{url}"
    end
  end
end
