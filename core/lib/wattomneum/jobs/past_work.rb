# frozen_string_literal: true

module Wattomneum
  module Jobs
    # What was mended on a unit in an earlier job. unit: key of a repair unit of its circuit; days: before this job began
    PastWork = Struct.new(:unit, :days, keyword_init: true)
  end
end
