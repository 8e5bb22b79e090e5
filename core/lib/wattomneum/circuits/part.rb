# frozen_string_literal: true

module Wattomneum
  module Circuits
    # A component of a sheet: its pins, and what lies between them. Each kind is a class under Parts.
    class Part
      # @return [String] as drawn, "K1"
      attr_reader :id
      # @return [String] survives renumbering and new versions of the sheet
      attr_reader :uuid
      # @return [String]
      attr_reader :kind, :label
      # @return [String, nil] key of a zone
      attr_reader :zone
      # @return [Hash{String => Object}] as written in the sheet
      attr_reader :fields
      # @return [Hash{String => String}] other names of its pins: as drawn to the pin's own
      attr_reader :aliases

      # @param fields [Hash{String => Object}] the row of the sheet
      # @param uuid [String]
      # @param system_volt [Integer]
      def initialize(fields, uuid:, system_volt:)
        @fields = fields
        @id = fields['id'].to_s
        @uuid = uuid
        @kind = fields['kind']
        @label = fields['label'] || @id
        @zone = fields['zone']
        @system_volt = system_volt
        @aliases = (fields['aliases'] || {}).to_h { |drawn, meant| [drawn.to_s, meant.to_s] }
      end

      # @return [Array<String>] names of its pins, without its own id
      def pins = []

      # @return [Array<PartBranch>]
      def branches = []

      # @param pin [String] as drawn: "30", by an alias, "3", or run together, "B87" for "B/87"
      # @return [String, nil] the pin's own name; nil where it has none such
      def pin(pin)
        name = @aliases.fetch(pin, pin)
        return name if pins.include?(name)

        alike = pins.select { |one| squeezed(one) == squeezed(name) }
        alike.first if alike.one?
      end

      # @param name [String] of a pin
      # @return [String] node, "K1:30"
      def node(name) = "#{id}:#{name}"

      # @return [Boolean] whether several wires may share one pin: posts and studs, not plugs
      def shares_pins? = false

      # @return [Boolean] whether each wire gets a ring of its own: splices, studs, ground points
      def joint? = false

      # @return [Boolean] whether wires name it without a pin: splices, studs, ground points, bodies
      def joins? = joint?

      # @return [Boolean] whether it is only a way for current: no load, no source, no logic
      def conductor? = false

      # @return [Array<Watch>] what one can see working or read on it
      def watches = []

      # What a wire ends in on one of its pins: a ring on a stud, a clamp on a post. Each can be bad and the next one not.
      #
      # @param wire [Wire]
      # @param pin [String]
      # @return [PartBranch, nil] nil where the wire ends in the pin itself, as in a plug
      def ring(wire, pin) = stud?(pin) ? lug(wire, pin) : nil

      # @param pin [String]
      # @return [Boolean] whether cables end on it in lugs under a nut
      def stud?(_pin) = false

      # @return [String] ring, lug or clamp
      def ring_word = 'lug'

      # A crimped lug under a tight nut (common practice).
      LUG_OHM = 0.00001

      private

      attr_reader :system_volt

      def lug(wire, pin)
        PartBranch.new(from: node("#{pin} #{ring_word} #{wire.number}"), to: node(pin), ohm: LUG_OHM, name: "#{ring_word} of wire #{wire.number}")
      end

      def squeezed(name) = name.delete('/ ').downcase

      def number(name, default = nil)
        value = fields.fetch(name, default)
        value&.to_f
      end

      def states(name = 'active_in') = (fields[name] || []).map(&:to_s)

      def branch(from, to, ohm, **rest) = PartBranch.new(from: node(from), to: node(to), ohm: ohm, **rest)
    end
  end
end
