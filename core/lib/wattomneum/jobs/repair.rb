# frozen_string_literal: true

module Wattomneum
  # Running a job so that it ends proved.
  module Jobs
    # One repair as the rules of closing see it.
    #   element: key of Systems::Places::ELEMENTS; position: battery position or nil;
    #   failing_reading_id: the reading that showed the fault
    Repair = Struct.new(:id, :element, :position, :failing_reading_id, :temporary, keyword_init: true)
  end
end
