# frozen_string_literal: true

module Server
  module Book
    # Papers that a drawing is cut for, as drawing/lib/pages/cuts.js cuts it: sizes in mm.
    module Paper
      Size = Struct.new(:key, :label, :width_mm, :height_mm, keyword_init: true) do
        # @return [Array(Float, Float)] in points
        def points = [width_mm, height_mm].map { |mm| mm * MM }
      end

      # Points in a millimetre.
      MM = 72 / 25.4
      MARGIN_MM = 10
      # At the head of every page stands what it is of.
      HEAD_MM = 10
      ALL = [Size.new(key: 'a4', label: 'A4', width_mm: 297, height_mm: 210),
             Size.new(key: 'a4_upright', label: 'A4 upright', width_mm: 210, height_mm: 297),
             Size.new(key: 'a3', label: 'A3', width_mm: 420, height_mm: 297),
             Size.new(key: 'a3_upright', label: 'A3 upright', width_mm: 297, height_mm: 420)].to_h do |size|
        [size.key, size]
      end.freeze
    end
  end
end
