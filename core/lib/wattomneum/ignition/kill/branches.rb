# frozen_string_literal: true

module Wattomneum
  module Ignition
    # The kill circuit of a magneto: what grounds it on purpose, and what does so by mistake.
    module Kill
      # What hangs on the common stud of a kill circuit, read off its sheet: the lead to the ignition unit, and each branch to ground.
      class Branches
        # key: UUID of its wire at the stud, whatever number it has; number; wire: its label; parts: what lies in it, from the stud on;
        # switches: those of them that ground it on purpose; asked: keys of the ways to ask for a stop that close one of those
        Branch = Struct.new(:key, :number, :wire, :parts, :switches, :asked, keyword_init: true) do
          # @return [String] what people call it
          def label = switches.any? ? switches.map(&:label).join(', ') : "wire #{number}"
        end

        # @return [Array<Branch>] in the order of the sheet
        attr_reader :all
        # @return [Array<String>] numbers of the wires that lead from the stud to the ignition unit
        attr_reader :lead

        # @param sheet [Circuits::Sheet]
        # @param stop [Circuits::Sheet::Stop] of it, with a stud
        # @raise [InvalidQuantityError] where the sheet names no stud for it
        def initialize(sheet, stop)
          raise InvalidQuantityError.new('This stop names no stud: its branches are not known', field: 'stud') if stop.stud.nil?

          @sheet = sheet
          @stop = stop
          @lead, branches = at_stud.partition { |wire| beyond(wire).include?(stop.device) }.then { |lead, rest| [lead.map(&:number), rest] }
          @all = branches.map { |wire| branch(wire) }
        end

        # @param key [String]
        # @return [Branch, nil]
        def find(key) = all.find { |one| one.key == key }

        private

        def at_stud = @sheet.wires.select { |wire| [wire.from, wire.to].any? { |node| id(node) == @stop.stud } }
        def id(node) = node.split(':', 2).first

        def branch(wire)
          parts = beyond(wire).map { |id| @sheet.part(id) }
          switches = parts.grep(Circuits::Parts::Switch)
          spoken = ["wire #{wire.number}", *wire.colour].join(', ')
          Branch.new(key: wire.uuid, number: wire.number, wire: spoken, parts: parts, switches: switches,
                     asked: @stop.asked_in.select { |state| switches.any? { |one| closed?(one, state) } })
        end

        def closed?(switch, state) = switch.branches.any? { |one| one.states&.include?(state) }

        # Ids of the parts that a wire leads to from the stud, metal and grounds where it ends.
        def beyond(wire)
          seen = []
          waiting = [[wire.from, wire.to].find { |node| id(node) != @stop.stud }]
          until waiting.empty?
            node = waiting.shift
            next if seen.include?(node) || id(node) == @stop.stud

            seen << node
            waiting.concat(onward(node))
          end
          seen.map { |node| id(node) }.uniq
        end

        END_OF_IT = %w[body ground].freeze
        private_constant :END_OF_IT

        def onward(node)
          part = @sheet.part(id(node))
          return [] if part.nil? || END_OF_IT.include?(part.kind)

          (part.branches + @sheet.wires).filter_map do |one|
            ends = [one.from, one.to]
            (ends - [node]).first if ends.include?(node)
          end
        end
      end
    end
  end
end
