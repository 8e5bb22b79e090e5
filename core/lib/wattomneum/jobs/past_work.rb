# frozen_string_literal: true

module Wattomneum
  module Jobs
    # What was done on a unit before. unit: key of a repair unit of its circuit; days: before this job began; kind: mended in an earlier job, or,
    # as it was told at the intake, fitted (new) or handled
    PastWork = Struct.new(:unit, :days, :kind, keyword_init: true) do
      def initialize(kind: 'mended', **rest) = super
    end
  end
end
