# frozen_string_literal: true

module Server
  module Presenters
    # The shelf: what wants charging first, what goes with what.
    class Shelf
      CORE = Wattomneum::Batteries
      DAY_SECONDS = 86_400.0
      private_constant :DAY_SECONDS

      # @param shelf [Queries::Shelf]
      # @param now [Time]
      # @param limits [Wattomneum::Limits::Table]
      def self.call(shelf, now:, limits:)
        { **new(shelf.spares, now, limits).call, parts: shelf.parts.map { |part| Asset.call(part) } }
      end

      def initialize(spares, now, limits)
        @spares = spares
        @now = now
        @limits = limits
      end

      def call
        lines = @spares.map { |spare| line(spare) }
        { batteries: lines.sort_by { |one| [one[:recharge_on].to_s, one[:tag]] }, pairs: pairs, untested: pairing.untested.map(&:tag) }
      end

      private

      def line(spare)
        known = known(spare)
        kept = CORE::Spare.new(type: spare.battery.type, limits: @limits, known: known)
        { **Battery.call(spare.battery), health_percent: spare.state&.health_percent&.round(1), verdict: spare.state&.verdict,
          tested_at: spare.state&.tested_at&.iso8601, charge_percent: kept.charge_percent&.round, charge_known: known&.how,
          charge_known_at: known && in_days(-known.days).iso8601, wants_charge: kept.wants_charge?,
          recharge_on: kept.days_left && in_days(kept.days_left).to_date.iso8601, left: spare.left, left_at: spare.left_at&.iso8601 }
      end

      # A reading on the shelf, or the last one in a unit, whichever came later; charged to full since, it is as it was then.
      def known(spare)
        check = spare.check
        told = { spare.state&.rest_at => spare.state&.rest_volt, check&.checked_at => (check.rest_volt unless check.nil? || check.charged) }
        read = told.compact.max
        CORE::Spare.known(spare.battery.type, read: read && [read.last, days_since(read.first)], left: spare.left_at && days_since(spare.left_at),
                                              charged: check&.charged ? days_since(check.checked_at) : nil)
      end

      def in_days(days) = @now + (days * DAY_SECONDS)
      def days_since(time) = [(@now - time) / DAY_SECONDS, 0.0].max

      def pairing
        @pairing ||= CORE::Pairing.new(@spares.select { |spare| pairs?(spare) }.map { |spare| candidate(spare) }, limits: @limits)
      end

      # One that is to be replaced goes with nobody.
      def pairs?(spare) = spare.battery.to_core.lead_acid? && spare.state&.verdict != 'act'

      def candidate(spare)
        battery = spare.battery
        CORE::Pairing::Candidate.new(id: battery.id, tag: battery.tag, type: battery.type, rating: battery.to_core.rating, made_on: battery.made_on,
                                     health_percent: spare.state&.health_percent, rest_volt: nil)
      end

      def pairs
        tags = @spares.to_h { |spare| [spare.battery.id, spare.battery.tag] }
        pairing.pairs.map { |pair| { ids: pair.ids, tags: pair.ids.map { |id| tags[id] }, words: pair.words } }
      end
    end
  end
end
