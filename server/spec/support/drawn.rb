# frozen_string_literal: true

# Sheets that ship, drawn by the program that draws, each once a run.
module Drawn
  # As the one that it keeps, but what was drawn before is not drawn again.
  class Remembering
    def initialize
      @layouter = Server::Layouter.new(seeds: 1)
      @drawn = {}
      at_exit { @layouter.stop }
    end

    def draw(brief) = @drawn[brief.hash] ||= @layouter.draw(brief)
  end

  LAYOUTER = Remembering.new

  # @param key [String] of a sheet that ships
  # @return [Array<Hash>]
  def self.pictures(key)
    drawn = LAYOUTER.draw(Wattomneum::Circuits::Drawing::Brief.new(Wattomneum::Circuits::Library.fetch(key)).to_h)
    JSON.parse(JSON.generate(drawn['pictures']))
  end

  # What a queue worker does beside the server.
  def draw_sheets
    Server::Models::SheetDrawing.order_missing
    Server::Workers::DrawSheets.all(LAYOUTER)
  end
end
