# frozen_string_literal: true

module Server
  module Contracts
    # What the fleet chooses on a question of schools; core knows the answers.
    class SchoolAnswer < Base
      json { required(:answer).value(:string, max_size?: SHORT_TEXT) }
    end
  end
end
