# frozen_string_literal: true

# Drawings for specs that show them: made once and kept with what drew them, as laying out takes the layouter a second or two each.
module Drawn
  KEPT = File.join(Server::ROOT, 'var', 'drawn', Server::Layouter::SIGNATURE[0, 16])

  # As the one that it keeps, but what was drawn before is not drawn again: neither by this process nor by another, unless what draws changed.
  class Remembering
    def initialize
      @layouter = Server::Layouter.new(seeds: 1)
      @drawn = {}
      at_exit { @layouter.stop }
    end

    def draw(brief)
      text = JSON.generate(brief)
      @drawn[text] ||= kept(File.join(KEPT, "#{Digest::SHA256.hexdigest(text)}.json")) { @layouter.draw(brief) }
    end

    private

    # Of two who draw the same at once the later one's file stands: they say the same.
    def kept(file)
      return JSON.parse(File.read(file)) if File.exist?(file)

      yield.tap do |drawing|
        FileUtils.mkdir_p(KEPT)
        part = "#{file}.#{Process.pid}"
        File.write(part, JSON.generate(drawing))
        File.rename(part, file)
      end
    end
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
