# frozen_string_literal: true

module Server
  module Models
    # Something already tried or fitted before the job: evidence, listed first.
    class Attempt < Sequel::Model(:attempt)
    end
  end
end
