# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Where a lamp hangs while the feed behind it is followed.
      module LampOn
        # @param kase [Case]
        # @param probe [Readings::Probe] of a piece of a feed
        # @return [String, nil] node of the terminal that this feed ends at
        def self.terminal(kase, probe)
          sheet = kase.machine.sheet
          feeds = Readings::Catalogue::ALL.select(&:feed?).filter_map { |test| test.probe(sheet) }
          found = feeds.find { |feed| feed.situation == probe.situation && on_the_way?(kase, feed, probe) }
          found&.from
        end

        # Whether both leads are on the way that this feed takes.
        def self.on_the_way?(kase, feed, probe)
          nodes = kase.circumstances.paths(feed).to_battery(feed.from).steps.flat_map { |step| [step.from, step.to] }
          [probe.from, probe.to].all? { |node| nodes.include?(node) }
        end
        private_class_method :on_the_way?
      end
    end
  end
end
