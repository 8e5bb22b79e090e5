# frozen_string_literal: true

module Wattomneum
  module Faults
    # Minutes to take a reading: at the probe, from place to place, and to lay a point bare for the first time. Where one was already costs
    # nothing again, and a lead that stays clipped where it is costs no walk.
    class Access
      DATA = DataFile.load('access').freeze
      WALK_MINUTES = DATA.fetch('walk')
      FIRST_TIME_MINUTES = DATA.fetch('first_time').freeze
      CRANK_MINUTES = DATA.fetch('crank')
      private_constant :DATA, :CRANK_MINUTES

      # @param sheet [Circuits::Sheet]
      # @param probes [Array<Readings::Probe>] taken in this job, in order
      def initialize(sheet, probes)
        @sheet = sheet
        @touched = probes.flat_map { |one| [one.from, one.to] }.to_set { |node| id(node) }
        @clipped = probes.last ? [probes.last.from, probes.last.to] : []
        @at_hand = zones(@clipped)
        @opened = probes.flat_map(&:opened)
      end

      # @param probe [Readings::Probe]
      # @return [Float]
      def minutes(probe)
        nodes = [probe.from, probe.to].compact.reject { |node| @clipped.include?(node) }
        Readings::Methods.fetch(probe.by).minutes.to_f + (WALK_MINUTES * (zones(nodes) - @at_hand).size) + first_times(nodes) + crank(probe) +
          ends(probe)
      end

      private

      def crank(probe) = probe.situation && Circuits::Situations.on(@sheet, probe.situation).engine == 'cranking' ? CRANK_MINUTES : 0

      # The end of a wire that was taken out once is out.
      def ends(probe)
        (probe.opened - @opened).select { |id| Circuits::Apart.end?(id) }
                                .sum { |id| FIRST_TIME_MINUTES.fetch(Circuits::Apart.kind(id, @sheet)) }
      end

      def first_times(nodes)
        nodes.map { |node| id(node) }.uniq.reject { |one| @touched.include?(one) }.sum { |one| first_time(@sheet.part(one)) }
      end

      def first_time(part) = FIRST_TIME_MINUTES.fetch(part&.kind, FIRST_TIME_MINUTES.fetch('else'))
      def zones(nodes) = nodes.filter_map { |node| @sheet.part(id(node))&.zone }.uniq

      # Of a ring or a lug its stud.
      def id(node) = node.split(/[: ]/).first
    end
  end
end
