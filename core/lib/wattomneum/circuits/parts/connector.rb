# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # A plug in the middle of a loom: each pin has two halves, "X1:a/3" on one side and "X1:b/3" on the other.
      class Connector < Part
        CONTACT_OHM = 0.003
        HALVES = %w[a b].freeze

        def pins = names.flat_map { |name| HALVES.map { |half| "#{half}/#{name}" } }
        def branches = names.map { |name| branch("a/#{name}", "b/#{name}", number('ohm', CONTACT_OHM), name: "pin #{name}") }
        def conductor? = true

        # @return [ConnectorFace, nil] nil where the sheet does not say how its ways lie
        def face
          return if fields['face'].nil?

          ConnectorFace.new(rows: ConnectorFace.rows_of(fields['face']), view: fields.fetch('face_view'), half: fields.fetch('face_half', 'a'))
        end

        # @return [Array<String>] pin names, of either half
        def names = fields['pins'] ? fields['pins'].map(&:to_s) : (1..fields['ways'].to_i).map(&:to_s)
      end
    end
  end
end
