# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # Whether another device may take a signal by cutting its wire or only by tapping it, from who listens to it on the circuit.
      class TapOrCut
        # part; node; guards: what it keeps safe ("brakes"), nil for nothing; own_wires: numbers of the wires that feed it alone
        Listener = Struct.new(:part, :node, :guards, :own_wires, keyword_init: true)

        # @return [Array<Listener>]
        attr_reader :listeners
        # @return [Array<Trace::End>] what makes the signal
        attr_reader :sources

        # @param sheet [Sheet]
        # @param node [String] a pin on the signal
        # @raise [UnknownKeyError] if there is no such pin
        def initialize(sheet, node)
          @sheet = sheet
          @net = Trace.new(sheet).pin(node)
          @sources = @net.ends.select { |one| one.role == 'feeds' }
          @listeners = @net.listeners.map do |one|
            Listener.new(part: one.part, node: one.node, guards: one.part&.fields&.fetch('guards', nil), own_wires: own_wires(one.node))
          end
        end

        # @return [String] tap, cut or nobody
        def advice
          return 'nobody' if listeners.empty?

          listeners.one? && guarded.empty? ? 'cut' : 'tap'
        end

        # @return [Array<Listener>] those that something safe hangs on
        def guarded = listeners.select(&:guards)

        # @return [Array<String>] the plan in sentences
        def words
          case advice
          when 'nobody' then ['Nothing on this sheet listens here: look where it goes on before anything is cut']
          when 'cut' then ["Only #{name(listeners.first)} listens: it may be cut, at #{wires(listeners.first)}"]
          else [*guarded.map { |one| "#{name(one)} keeps #{one.guards} safe: never cut, neither here nor on its own branch" }, shared].compact
          end
        end

        # @return [Array<String>] numbers of wires that may be cut: they feed one listener and nothing safe hangs on them
        def may_be_cut = guarded.include?(listeners.first) && listeners.one? ? [] : (listeners - guarded).flat_map(&:own_wires).uniq

        private

        def shared
          return "Tap beside it, splice in parallel, at a joint: #{listeners.size} listen" if may_be_cut.empty? && listeners.size > 1
          return if listeners.one?

          free = (listeners - guarded).select { |one| one.own_wires.any? }
          "#{listeners.size} listen: tap it, in parallel. To take over one alone, cut only its branch: " \
            "#{free.map { |one| "#{name(one)} at #{wires(one)}" }.join('; ')}"
        end

        def name(one) = [one.part&.id, one.part&.label].compact.uniq.join(' ')
        def wires(one) = one.own_wires.any? ? "wire #{one.own_wires.first}" : 'its plug'

        # Wires without which it hears nothing and everybody else still does, nearest to it first.
        def own_wires(node)
          others = @net.ends.reject { |one| one.node == node || one.role == 'feeds' || one.role == 'grounds' }.map(&:node)
          found = Trace.new(@sheet).pin(node).runs.map(&:wire).select do |wire|
            heard = heard_without(wire)
            !heard.include?(node) && others.all? { |other| heard.include?(other) }
          end
          found.map(&:number)
        end

        def heard_without(wire)
          left = Trace.new(@sheet.with_wires_only(@net.runs.map(&:wire).reject { |one| one.uuid == wire.uuid }))
          @sources.flat_map { |source| left.pin(source.node).ends.map(&:node) }.to_set
        end
      end
    end
  end
end
