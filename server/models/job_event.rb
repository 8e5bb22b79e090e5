# frozen_string_literal: true

module Server
  module Models
    # What happened to a job as a whole: opened, parked, closed, reopened, cancelled.
    class JobEvent < Sequel::Model(:job_event)
    end
  end
end
