# frozen_string_literal: true

require 'http'

module Server
  # The one way to ask anything outside of this house over HTTP. Connecting, head and body together have one deadline and one number of bytes;
  # whatever goes wrong on the way, the other side was silent.
  class Outside
    # It did not answer, or not with what was asked; says which in words.
    class Silent < StandardError; end

    # More came than is listened to.
    class TooMuch < IOError; end

    # Counts what comes in before anything reads it, be it a head without end.
    module Counted
      def read_nonblock(...)
        super.tap { |got| count(got.bytesize) if got.is_a?(String) }
      end

      private

      def count(bytes)
        @heard = (@heard || 0) + bytes
        raise TooMuch, "its answer is longer than #{Bounds[:outside_bytes]} bytes" if @heard > Bounds[:outside_bytes]
      end
    end

    # A line of which so much is heard and no more.
    class Line < TCPSocket
      prepend Counted
    end

    # The same behind TLS.
    class SafeLine < OpenSSL::SSL::SSLSocket
      prepend Counted
    end
    private_constant :TooMuch, :Counted, :Line, :SafeLine

    # @param url [String]
    # @param asked [Hash] what follows the question mark
    # @param seconds [Numeric] for all of it
    # @return [Hash]
    # @raise [Silent]
    def self.json(url, asked, seconds: Bounds[:outside_seconds])
      told = JSON.parse(body(url, asked, seconds))
      told.is_a?(Hash) ? told : raise(Silent, 'its answer is no object')
    rescue Silent
      raise
    rescue StandardError => e # Whatever a stranger sends, or leaves out: it is theirs, and it is no answer.
      raise Silent, e.message.dup.force_encoding(Encoding::UTF_8).scrub[0, 200]
    end

    def self.body(url, asked, seconds)
      response = HTTP.timeout(seconds).headers(accept: 'application/json', connection: 'close')
                     .get(url, params: asked, socket_class: Line, ssl_socket_class: SafeLine)
      raise Silent, "it answered #{response.code}" unless response.code == 200

      response.body.to_s.dup.force_encoding(Encoding::UTF_8)
    ensure
      response&.connection&.close
    end
    private_class_method :body
  end
end
