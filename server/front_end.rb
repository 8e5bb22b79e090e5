# frozen_string_literal: true

module Server
  # Serves the built front end: hashed assets for ever, the page itself never from a cache, a nonce for its styles.
  class FrontEnd
    DIST = File.join(ROOT, 'web/dist')
    NONCE_MARK = '__NONCE__'

    # @param app [#call]
    def initialize(app)
      @app = app
      @assets = Rack::Files.new(DIST, 'cache-control' => 'public, max-age=31536000, immutable')
    end

    # @param env [Hash]
    # @return [Array]
    def call(env)
      path = env['PATH_INFO']
      return @app.call(env) if path.start_with?('/api/') || path == '/health'
      return @assets.call(env) if path.start_with?('/assets/')

      page
    end

    private

    def page
      nonce = SecureRandom.base64(16)
      [200, { 'content-type' => 'text/html; charset=utf-8', 'cache-control' => 'no-cache',
              'content-security-policy' => policy(nonce), 'x-content-type-options' => 'nosniff',
              'referrer-policy' => 'same-origin' }, [template.gsub(NONCE_MARK, nonce)]]
    end

    def policy(nonce)
      "default-src 'self'; style-src 'self' 'nonce-#{nonce}'; img-src 'self' data:; frame-ancestors 'none'; base-uri 'none'"
    end

    def template = File.read(File.join(DIST, 'index.html'))
  end
end
