# frozen_string_literal: true

require 'digest'
require 'zlib'

module Server
  module Models
    # What an instrument wrote while a unit was cranked: its figures and its curve. What it settles at is kept as readings of a crank round, so
    # that whatever goes by readings goes by it too. Append-only.
    class CrankTrace < Sequel::Model(:crank_trace)
      unrestrict_primary_key
      many_to_one :person, class: 'Server::Models::Account'
      CORE = Wattomneum
      # Stretches of the curve that are kept to be drawn.
      STRETCHES = 900
      GZIP = "\x1F\x8B".b
      private_constant :STRETCHES, :GZIP

      # A trace as it was read, before anything is kept of it.
      Read = Struct.new(:review, :digest, :said, :taken_at, keyword_init: true)

      class << self
        # Nothing is written: a long trace holds no row while it is read.
        #
        # @param unit [Unit] its yard loaded
        # @param file [IO] as text, or packed by gzip; at its beginning
        # @param said [Hash] of Contracts::NewCrankTrace
        # @param now [Time]
        # @return [Read]
        # @raise [Refusals::InvalidInput, Refusals::Question, Wattomneum::InvalidQuantityError]
        def read(unit, file, said, now:)
          digest = Digest::SHA256.new.tap { |one| one << file.read(65_536) until file.eof? }.hexdigest
          file.rewind
          system = Queries::UnitCircuits.new(unit.id).system
          refuse_without_starter(system)
          cylinders = said[:cylinders] || cylinders_of(unit) || ask_cylinders
          recording = CORE::Cranking::Trace::Recording.new(plain(file), system: system, factor: said[:factor])
          review = CORE::Cranking::Trace::Review.new(recording, system: system, cylinders: cylinders,
                                                                celsius: said[:celsius], limits: Queries::FleetRules.new.limits)
          Read.new(review: review, digest: digest, said: said, taken_at: EntryTime.check(said[:taken_at], now))
        rescue CORE::Cranking::Trace::OddScaleError => e
          ask(e)
        rescue Zlib::Error
          raise Refusals::InvalidInput.new('This trace is packed and cannot be unpacked: send it again',
                                           fields: { 'trace' => ['cannot be unpacked'] })
        end

        # @param unit [Unit] held, its yard loaded
        # @param read [Read]
        # @param by [Account]
        # @return [CrankTrace]
        # @raise [Refusals::InvalidInput] if the same trace is kept already
        def keep(unit, read, by:)
          refuse_twice(unit, read)
          trace = create(id: read.said[:id], unit_id: unit.id, digest: read.digest, celsius: read.said[:celsius], person_id: by.id,
                         taken_at: read.taken_at, core_version: CORE::VERSION, **columns(read.review))
          keep_readings(unit, read, by)
          trace
        end

        # Asked once, then known: of its own last trace, or of one of its sisters.
        #
        # SQL: select cylinders from crank_trace where unit_id in (select id from unit where id = ? or unit_class_id = ?)
        #      and cylinders is not null order by unit_id = ? desc, taken_at desc limit 1
        #
        # @param unit [Unit]
        # @return [Integer, nil]
        def cylinders_of(unit)
          named = [{ id: unit.id }, ({ unit_class_id: unit.unit_class_id } if unit.unit_class_id)].compact
          sisters = Unit.where(Sequel.|(*named)).select(:id)
          where(unit_id: sisters).exclude(cylinders: nil).order(Sequel.desc(Sequel.expr(unit_id: unit.id)), Sequel.desc(:taken_at)).get(:cylinders)
        end

        private

        def plain(file)
          packed = file.read(2) == GZIP
          file.rewind
          packed ? Zlib::GzipReader.new(file) : file
        end

        def columns(review)
          start = review.start
          { rows: review.recording.rows, cylinders: review.cylinders, verdict: review.verdict, figures: json(review.figures.compact),
            curve: json(review.recording.drawn(STRETCHES).map(&:values)), shares: json(review.shares&.map { |share| share.round(1) }),
            marks: json({ from: start.from_second, to: start.to_second, lowest: start.lowest_second, peak: start.peak_second,
                          settled: start.settled && [start.settled.first, start.settled.last].map { |slice| review.recording.second(slice) } }),
            remarks: json(review.remarks.map(&:to_h)),
            said: json(review.judgements.map do |one|
              { verdict: one.verdict, summary: one.summary, arithmetic: one.arithmetic, instead: one.instead }
            end) }
        end

        def json(value) = value && Sequel.pg_jsonb_wrap(value)

        # As a meter would have read them in that crank.
        def keep_readings(unit, read, by)
          return unless read.review.turned?

          first, *others = read.review.readings.map { |one| reading(one) }

          round = Round.new(unit, now: read.taken_at) # taken then, however late it was brought in
          round.take(others.empty? ? first : first.merge(together: others), by: by)
        end

        def reading(one)
          { id: SecureRandom.uuid, test_key: one.test_key, value_text: one.value.round(2).to_s, instrument: 'oscilloscope',
            conditions: one.conditions.to_h.transform_keys(&:to_sym).merge(value_confirmed: 'yes') }
        end

        def refuse_without_starter(system)
          return if system.starter?

          raise Refusals::InvalidInput.new('This unit has no starter: there is nothing to crank', fields: { 'trace' => ['this unit has no starter'] })
        end

        # Without them nothing shows whether it turned, and the same trace is kept once.
        def ask_cylinders
          raise Refusals::InvalidInput.new('Say how many cylinders it has: speed and compression are read by them',
                                           fields: { 'cylinders' => ['say how many it has'] })
        end

        def refuse_twice(unit, read)
          same = first(unit_id: unit.id, digest: read.digest) or return
          day = Yard.day_of(same.taken_at, unit.yard.time_zone)
          raise Refusals::InvalidInput.new("This very trace is kept already, of #{day.strftime('%-d %b %Y')}",
                                           fields: { 'trace' => ['is kept already'] })
        end

        def ask(error)
          raise error if error.question.nil?

          raise Refusals::Question.new(error.message, fields: { 'factor' => [error.message] },
                                                      details: { question: error.question.to_h.merge(base_unit: '') })
        end
      end
    end
  end
end
