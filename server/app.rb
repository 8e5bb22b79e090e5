# frozen_string_literal: true

module Server
  # The whole web application as one Rack app: guards first, then files, then the JSON routes.
  module App
    # @return [#call]
    def self.build
      Rack::Builder.new do
        use Proxies
        use Rack::Protection::HostAuthorization, permitted_hosts: CONFIG.hosts, logging: false
        use Rack::Deflater
        use FrontEnd
        use Guard
        use Rack::Protection::HttpOrigin, logging: false
        run Router.new
      end.to_app
    end
  end
end
