# frozen_string_literal: true

module Wattomneum
  module Limits
    # What limits judge, in the words and the order of the house rules.
    module Subjects
      # By the first word of a limit's id.
      OF = DataFile.load('limit_subjects').freeze
    end
  end
end
