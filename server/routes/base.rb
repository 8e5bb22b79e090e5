# frozen_string_literal: true

module Server
  # HTTP: one class per resource, each route a contract, one call, one presenter.
  module Routes
    # What every resource shares: who asks, what came in, how errors leave.
    class Base < Sinatra::Base
      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :static, false
      set :host_authorization, { permitted_hosts: [] }
      set :protection, false

      UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/
      BODY_MOST_BYTES = 256 * 1024

      before { content_type :json }

      error(*ErrorMap::TABLE.keys) do |error|
        status, code = ErrorMap.for(error)
        halt status, JSON.generate(error: { code: code, message: error.message, fields: fields_of(error),
                                            **(error.respond_to?(:details) ? error.details : {}) })
      end

      error do |error|
        warn "#{request.request_method} #{request.path_info}: #{error.full_message(highlight: false)}"
        halt 500, JSON.generate(error: { code: 'our_fault', fields: {},
                                         message: 'Something broke on our side. What you typed is kept; try again' })
      end

      private

      def fields_of(error)
        return { error.field => [error.message] } if error.respond_to?(:field)

        error.respond_to?(:fields) ? error.fields : {}
      end

      def person
        @person ||= begin
          rodauth = env['rodauth']
          raise Refusals::NotSignedIn unless rodauth&.logged_in?

          account = Models::Account[rodauth.session_value]
          raise Refusals::NotSignedIn unless account&.session_counts?(env['rack.session'][SignIn::SINCE])

          account
        end
      end

      def allow!(action)
        return if Policy.allows?(person.role, action)

        raise Refusals::NotAllowed, "A #{person.role} may not do this: ask an electrician or the lead"
      end

      def id_param(name = :id)
        value = params[name].to_s
        raise Refusals::NotFound, 'Nothing is kept under this address, part of it may be lost: look it up by its number' unless value.match?(UUID)

        value
      end

      def payload
        @payload ||= begin
          raw = request.body.read(BODY_MOST_BYTES + 1).to_s
          raise Refusals::BadRequest, 'The request is larger than 256 kB' if raw.bytesize > BODY_MOST_BYTES

          @raw_body = raw
          parsed = JSON.parse(raw)
          raise Refusals::BadRequest, 'The request must be a JSON object' unless parsed.is_a?(Hash)

          parsed
        rescue JSON::ParserError
          raise Refusals::BadRequest, 'The request is not readable JSON'
        end
      end

      def contract!(contract_class)
        result = contract_class.new.call(payload)
        return result.to_h if result.success?

        fields = result.errors.to_h.transform_keys(&:to_s).transform_values { |errors| Contracts.sentences(errors) }
        raise Refusals::InvalidInput.new("Please look at: #{fields.keys.join(', ').tr('_', ' ')}", fields: fields)
      end

      def find!(dataset, id, name)
        dataset.with_pk(id) || raise(Refusals::NotFound, "No such #{name}: it may have been removed")
      end

      # Runs a write once: the same request id with the same body gets the same answer, with another body a conflict.
      def once(&block)
        payload
        code, reply = Models::Request.once(id: request_id, person: person, text: "#{request.path_info} #{@raw_body}", &block)
        status code
        JSON.generate(reply)
      end

      def request_id
        id = request.env['HTTP_REQUEST_ID'].to_s
        raise Refusals::BadRequest, 'Request-Id must be a UUID made by the sender' unless id.match?(UUID)

        id
      end

      def json(value) = JSON.generate(value)
    end
  end
end
