# frozen_string_literal: true

module Wattomneum
  # Running a job so that it ends proved.
  module Jobs
    # One repair as the rules of closing see it.
    #   element: key of Units::Parts, or unit: key of what was mended on the unit's circuit; position: battery position or nil;
    #   failing_reading_id: the reading that showed the fault
    Repair = Struct.new(:id, :element, :unit, :position, :failing_reading_id, :temporary, keyword_init: true)
  end
end
