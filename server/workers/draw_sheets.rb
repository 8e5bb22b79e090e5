# frozen_string_literal: true

module Server
  module Workers
    # Draws what was ordered, the last one asked for first, one after the other: the program that draws keeps a core busy.
    class DrawSheets < Que::Job
      # One a process, kept warm over all orders.
      LAYOUTER = Layouter.new
      # One that draws, and one that looks once more when that one has found nothing left.
      AT_ONCE = 2
      private_constant :LAYOUTER, :AT_ONCE

      # @return [void]
      def self.plan
        enqueue if DB[:que_jobs].where(job_class: name, finished_at: nil, expired_at: nil).count < AT_ONCE
      end

      # @param layouter [Layouter]
      def self.all(layouter)
        while (row = Models::SheetDrawing.take)
          draw(row, layouter)
        end
      end

      # One that no program can draw does not hold up the others.
      def self.draw(row, layouter)
        row.draw(layouter)
      rescue StandardError => e
        warn "drawing #{row.digest}: #{e.full_message(highlight: false)}"
        row.give_up('the program that draws met something that it does not know')
      end
      private_class_method :draw

      def run = self.class.all(LAYOUTER)
    end
  end
end
