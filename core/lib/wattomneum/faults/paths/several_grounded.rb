# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Two branches of a kill circuit grounded at once: taking off either one brings nothing back. With all of them off it comes back; then each
      # alone on its stud says of itself whether it kills, and what of it does.
      class SeveralGrounded
        ALL_OFF = 'None of them alone brings it back. With all of them off?'
        private_constant :ALL_OFF

        # @param kase [Case]
        # @param order [Order] makes the steps
        # @param evidence [StrayEvidence]
        def initialize(kase, order, evidence)
          @case = kase
          @order = order
          @evidence = evidence
        end

        # @return [Step, nil] nil where that is not it
        def call
          return if branches.size < 2

          read(all_off, ALL_OFF) || (one_by_one if @evidence.on?(all_off))
        end

        private

        def branches = @branches ||= @evidence.branches
        def all_off = @all_off ||= @evidence.with_off(branches)
        def alone(branch) = @evidence.with_off(branches - [branch])
        def reading(test) = @case.reading(test.probe)
        def read(test, why) = reading(test) ? nil : @order.measure(test.probe, why: why)

        def one_by_one
          branches.lazy.filter_map do |branch|
            test = alone(branch)
            read(test, "#{name(branch)} alone on its stud: does it kill?") || (within(branch, test) unless @evidence.on?(test))
          end.first
        end

        # What kills with this branch alone on, and not without it.
        def within(branch, test)
          left = @evidence.causes.select { |cause| kills?(cause, test) && !kills?(cause, all_off) && fits?(cause, branch) }
          units = left.map(&:unit).uniq.reject { |unit| @case.mended_in_vain?(unit.key) }
          return mend(units.first, left, test) if units.one?

          parting = partings(branch).find { |one| reading(one).nil? && left.map { |cause| kills?(cause, one) }.uniq.size > 1 }
          parting && @order.measure(parting.probe, why: "#{name(branch)} kills by itself: which part of it?")
        end

        def mend(unit, left, test)
          title = Words.either(left.map { |cause| Killed::TITLES.fetch(cause.kind) }.uniq)
          @order.mend(unit, reading(test), title: "#{title}: #{unit.label}", why: 'Alone on the stud it kills; with all off nothing does')
        end

        def name(branch) = branch.sub(/\A./, &:upcase)
        def kills?(cause, test) = !@evidence.shows?(cause, test)
        def partings(branch) = (@evidence.pulled - branches).map { |id| @evidence.with_off(branches - [branch] + [id]) }
        def fits?(cause, branch) = partings(branch).all? { |one| reading(one).nil? || kills?(cause, one) != @evidence.on?(one) }
      end
    end
  end
end
