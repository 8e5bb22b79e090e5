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

      before { content_type :json }

      error(*ErrorMap::TABLE.keys) { |error| halt(*ErrorReply.call(error)) }

      error Sequel::Error do |error|
        refusal = DatabaseErrors.refusal(error)
        DB.disconnect if DatabaseErrors.away?(error) # what waits in the pool is as dead as this one
        warn "#{request.request_method} #{request.path_info}: #{error.full_message(highlight: false)}" unless refusal
        halt(*ErrorReply.call(refusal || error))
      end

      error do |error|
        warn "#{request.request_method} #{request.path_info}: #{error.full_message(highlight: false)}"
        halt(*ErrorReply.call(error))
      end

      private

      # @return [Models::Session, nil] the running session that this request came with
      def session_here
        @session_here = Models::Session.of(SessionCookie.token(request), now: Time.now.utc) unless defined?(@session_here)
        @session_here
      end

      # @return [Models::Account] who asks
      # @raise [Refusals::NotSignedIn]
      def person = session_here&.account || raise(Refusals::NotSignedIn)

      def allow!(action)
        return if Policy.allows?(person.role, action)

        raise Refusals::NotAllowed, "A #{person.role} may not do this: ask an electrician or the lead"
      end

      def id_param(name = :id)
        value = params[name].to_s
        raise Refusals::NotFound, 'Nothing is kept under this address, part of it may be lost: look it up by its number' unless value.match?(UUID)

        value
      end

      # @param most [Hash] bounds other than those of most bodies, as Body.read takes them
      def payload(**most) = @payload ||= Body.read(request.body, **most)

      def contract!(contract_class, **most)
        Contracts.check(contract_class.new, payload(**most))
      end

      # What is asked for behind the path; what was left empty is not asked for.
      def asked!(contract_class)
        Contracts.check(contract_class.new, request.GET.reject { |_, value| value.to_s.empty? })
      end

      def find!(dataset, id, name)
        dataset.with_pk(id) || raise(Refusals::NotFound, "No such #{name}: it may have been removed")
      end

      # Found and held until the write is done: what is decided about it is decided once.
      def hold!(dataset, id, name) = find!(dataset.for_update, id, name)

      # Runs a write once: the same request id with the same body gets the same answer, with another body a conflict. What it was about is
      # shown as it stands afterwards, outside of the write's transaction.
      #
      # @param code [Integer] status where it is done
      # @param body [Hash, nil] what stands for the body where it is no JSON
      # @param shown [Symbol] method that answers with what the write was about: the row that the block gave, or its id when it is asked again
      # @yieldreturn [#id, nil]
      def once(code, shown, body: nil, **most, &write)
        body ||= payload(**most)
        asked = Models::Request::Asked.new(id: request_id, verb: request.request_method, path: request.path_info, body: body)
        about = Models::Request.once(asked, person: person, &write)
        status code
        as_it_stands(shown, about)
      end

      # A write stands from its commit on. What it was about is another question: where that has no answer just now, be it too much, in line or
      # our own fault, the write is acknowledged all the same, and looked at again.
      def as_it_stands(shown, about)
        json(about.nil? ? send(shown) : send(shown, about))
      rescue StandardError => e
        _, code = ErrorMap.for(e)
        DB.disconnect if DatabaseErrors.away?(e)
        warn "#{request.request_method} #{request.path_info}, saved and not shown: #{e.full_message(highlight: false)}" if code == ErrorMap::OURS.last
        status 202
        json(saved: true, why: code == ErrorMap::OURS.last ? SAVED_NOT_SHOWN : e.message)
      end

      SAVED_NOT_SHOWN = 'It is saved. It cannot be shown just now: look again in a moment'
      private_constant :SAVED_NOT_SHOWN

      # @param about [Models::Job, Queries::JobRecord, String] a job, what was read of it already, or its id
      def bench(about)
        return Presenters::JobBench.call(about) if about.is_a?(Queries::JobRecord)

        Presenters::JobBench.call(Queries::JobRecord.new(about.is_a?(String) ? Models::Job.with_pk!(about) : about))
      end

      def request_id
        id = request.env['HTTP_REQUEST_ID'].to_s
        raise Refusals::BadRequest, 'Request-Id must be a UUID made by the sender' unless id.match?(UUID)

        id
      end

      def json(value) = JSON.generate(value)

      # A drawing, or how many come before it while it is being made.
      #
      # @param order [Models::SheetDrawing]
      # @param sheet [Wattomneum::Circuits::Sheet]
      # @param own [Array<String>] UUIDs of what is otherwise on a unit
      def drawn(order, sheet, own: [])
        return polled(Presenters::Circuits::SheetDrawing.call(order, sheet, own)) if order.done?

        status 202
        json(before: order.before)
      end

      # For what browsers ask for again and again: who has it as it is gets no copy of it.
      def polled(value)
        body = json(value)
        etag(Digest::SHA256.hexdigest(body)[0, 32], kind: :weak)
        body
      end
    end
  end
end
