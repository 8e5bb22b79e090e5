# frozen_string_literal: true

require 'concurrent/atomic/semaphore'

module Server
  module Routes
    # Crank traces: brought in as text, read row by row, kept as figures and a curve.
    class CrankTraces < Base
      PLACES = Concurrent::Semaphore.new(Bounds[:traces_at_once])
      IN_LINE = 'Another trace is being read just now: try again in a moment'
      WAIT_SECONDS = 2
      # Whoever asks for something else comes first.
      LOW_PRIORITY = -2
      private_constant :PLACES, :IN_LINE, :WAIT_SECONDS, :LOW_PRIORITY

      get '/api/units/:id/crank-traces' do
        allow!(:read)
        json(Presenters::UnitTraces.list(unit))
      end

      post '/api/units/:id/crank-traces' do
        allow!(:take_reading)
        said = asked!(Contracts::NewCrankTrace)
        read = alone { Models::CrankTrace.read(unit, body!, said, now: Time.now.utc) }
        once(201, :shown, body: { trace: read.digest, **said }) { Models::CrankTrace.keep(hold!(Models::Unit.dataset, id_param, 'unit'), read, by: person) }
      end

      get '/api/crank-traces/:id' do
        allow!(:read)
        json(one(find!(Models::CrankTrace.dataset, id_param, 'trace')))
      end

      private

      def unit = find!(Models::Unit.dataset.eager(:yard), id_param, 'unit')
      def shown(about) = one(about.is_a?(String) ? Models::CrankTrace.with_pk!(about) : about)
      def one(trace) = Presenters::UnitTraces.one(trace, Models::Unit.where(id: trace.unit_id).eager(:yard).first)

      def body!
        most = Bounds[:trace_body_bytes]
        body = request.body
        too_large = request.content_length.to_i > most || (body.respond_to?(:size) && body.size > most)
        raise Refusals::TooLarge, "The trace is larger than #{most / 1024 / 1024} MB: pack it with gzip, or cut it to the start" if too_large
        return body if request.media_type.to_s.match?(Guard::TRACE_TYPE)

        raise Refusals::BadRequest, 'Send the trace as text/csv, or packed as application/gzip'
      end

      def alone(&work)
        raise Refusals::InLine.new(IN_LINE, retry_after_seconds: WAIT_SECONDS) unless PLACES.try_acquire(1, WAIT_SECONDS)

        before = Thread.current.priority
        begin
          Thread.current.priority = LOW_PRIORITY
          Wattomneum::Effort.within(Bounds[:trace_rows], advice: 'Cut the trace to the start of the engine', &work)
        ensure
          Thread.current.priority = before
          PLACES.release
        end
      end
    end
  end
end
