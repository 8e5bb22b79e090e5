# frozen_string_literal: true

module Server
  module Models
    # Something unplugged, lifted or opened to get at the fault; the job closes when all is put back.
    class Disturbance < Sequel::Model(:disturbance)
      unrestrict_primary_key

      # @return [Disturbance]
      def put_back(by:, at:)
        put_back_at ? self : update(put_back_at: at, put_back_by_id: by.id)
      end
    end
  end
end
