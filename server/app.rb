# frozen_string_literal: true

module Server
  # The whole web application as one Rack app: guards first, then files, sign-in, and the JSON routes.
  module App
    ROUTES = [Routes::Health, Routes::Session, Routes::Catalogue, Routes::Today, Routes::Find, Routes::Units,
              Routes::Batteries, Routes::Jobs, Routes::Readings, Routes::Repairs, Routes::HouseRules, Routes::People, Routes::Yards,
              Routes::Circuits, Routes::UnitCircuits, Routes::Sums].freeze
    NOT_FOUND = [404, { 'content-type' => 'application/json' },
                 [JSON.generate(error: { code: 'not_found', message: 'No such address', fields: {} })]].freeze

    # @return [#call]
    def self.build
      Rack::Builder.new do
        use Rack::Protection::HostAuthorization, permitted_hosts: CONFIG.hosts, logging: false
        use Rack::Deflater
        use FrontEnd
        use Rack::Protection::HttpOrigin
        use Rack::Session::Cookie, key: 'wattomneum.session', secret: CONFIG.session_secret, same_site: :strict,
                                   httponly: true, expire_after: 12 * 3600
        use SignIn
        run Rack::Cascade.new([*ROUTES, ->(_) { NOT_FOUND }])
      end.to_app
    end
  end
end
