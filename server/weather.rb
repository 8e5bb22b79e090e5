# frozen_string_literal: true

require 'net/http'

module Server
  # A weather service outside, asked over HTTP: how cold the coming night gets at a place, how cold the last one was.
  class Weather
    # low_celsius of the night before a dawn; mean of the day before; low as it was measured: nil where it is not known
    Told = Struct.new(:low_celsius, :day_before_celsius, :measured_celsius, keyword_init: true)
    # It did not answer, or not with what was asked.
    class Silent < StandardError; end

    OPEN_SECONDS = 2
    READ_SECONDS = 3
    # An answer that drips is given up.
    ALL_SECONDS = 10
    MOST_BYTES = 4096
    ON_EARTH = (-60..45)
    private_constant :OPEN_SECONDS, :READ_SECONDS, :ALL_SECONDS, :MOST_BYTES, :ON_EARTH

    # @param url [String] of the service
    def initialize(url)
      @url = url
    end

    # @param place [String]
    # @param dawn [Date]
    # @return [Told]
    # @raise [Silent]
    def night(place, dawn)
      told = JSON.parse(body_of(URI("#{@url}/night?#{URI.encode_www_form(place: place, dawn: dawn.iso8601)}")))
      raise Silent, 'its answer is no object' unless told.is_a?(Hash)

      Told.new(low_celsius: celsius(told['low_celsius']) || raise(Silent, 'it says no low'), day_before_celsius: celsius(told['day_before_celsius']),
               measured_celsius: celsius(told['measured_celsius']))
    rescue SystemCallError, IOError, Timeout::Error, SocketError, Net::ProtocolError, JSON::ParserError, URI::InvalidURIError => e
      raise Silent, e.message
    end

    private

    def body_of(uri)
      Net::HTTP.start(uri.host, uri.port, use_ssl: uri.scheme == 'https', open_timeout: OPEN_SECONDS, read_timeout: READ_SECONDS) do |http|
        http.request_get(uri.request_uri) { |response| return bounded(response) }
      end
    end

    def bounded(response)
      raise Silent, "it answered #{response.code}" unless response.is_a?(Net::HTTPOK)

      since = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      response.enum_for(:read_body).each_with_object(+'') do |chunk, body|
        body << chunk
        raise Silent, "its answer is longer than #{MOST_BYTES} bytes" if body.bytesize > MOST_BYTES
        raise Silent, 'its answer takes too long' if Process.clock_gettime(Process::CLOCK_MONOTONIC) - since > ALL_SECONDS
      end
    end

    def celsius(value)
      return if value.nil?
      raise Silent, 'its temperature is none' unless value.is_a?(Numeric) && ON_EARTH.cover?(value)

      value.to_f
    end
  end
end
