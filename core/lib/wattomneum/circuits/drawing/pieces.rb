# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # A sheet is one picture where that can be drawn and read; a larger one is drawn zone by zone, and a zone that is too large itself in pieces.
      module Pieces
        # zone: key, nil for the whole sheet and for what lies in no zone; label: nil for the whole sheet; parts: ids
        Piece = Struct.new(:zone, :label, :parts, keyword_init: true) do
          # @return [Boolean]
          def whole? = label.nil?
        end

        # Drawing takes time by more than the square of the wires: 80 take 3 s, 960 took 69 s and came to lie 15,500 units wide.
        MOST_WIRES = 200
        ELSEWHERE = 'In no zone'

        # @param sheet [Sheet]
        # @return [Array<Piece>] one at least
        def self.of(sheet)
          return [Piece.new(parts: sheet.parts.map(&:id))] if sheet.wires.size <= MOST_WIRES

          counts = wires_at(sheet)
          sheet.parts.group_by(&:zone).flat_map do |zone, parts|
            label = zone ? sheet.zones.dig(zone, 'label') || zone : ELSEWHERE
            named(zone, label, parts.map(&:id).slice_when(&full(counts)).to_a)
          end
        end

        # Numbers the pieces of one zone.
        def self.named(zone, label, groups)
          groups.each_with_index.map do |ids, index|
            Piece.new(zone: zone, label: groups.one? ? label : "#{label} (#{index + 1} of #{groups.size})", parts: ids)
          end
        end

        # How many wire ends each part has.
        def self.wires_at(sheet)
          sheet.wires.flat_map { |wire| [wire.from, wire.to] }.map { |node| node.split(':', 2).first }.tally
        end

        # Says where one piece is full and the next begins.
        def self.full(counts)
          sum = 0
          lambda do |before, after|
            sum += counts.fetch(before, 0)
            (sum + counts.fetch(after, 0) > MOST_WIRES).tap { |next_one| sum = 0 if next_one }
          end
        end
        private_class_method :named, :wires_at, :full
      end
    end
  end
end
