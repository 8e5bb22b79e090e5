# frozen_string_literal: true

module Wattomneum
  module Jobs
    # Something that was changed on the unit beside the repairs and may have cured it too: a plug taken off and put back, a lead moved.
    #   what: in words; at: when, on the same clock as the readings
    Change = Struct.new(:what, :at, keyword_init: true)
  end
end
