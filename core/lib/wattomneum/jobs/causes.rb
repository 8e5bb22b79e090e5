# frozen_string_literal: true

module Wattomneum
  module Jobs
    # Why things fail, as recorded with every repair.
    module Causes
      ALL = %w[chafe corrosion rodent loose heat moisture vibration wear_out earlier_repair wrong_part overload
               unknown].freeze
    end
  end
end
