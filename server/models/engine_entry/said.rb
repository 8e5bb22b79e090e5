# frozen_string_literal: true

module Server
  module Models
    class EngineEntry < Sequel::Model(:engine_entry)
      # What was said, made of what was typed, and held against the engine it is about.
      class Said
        # @param engine [Queries::Engine]
        # @param input [Hash] of Contracts::NewEngineEntry
        def initialize(engine, input)
          @engine = engine
          @input = input
        end

        # @return [Hash{Symbol => Object}]
        # @raise [Wattomneum::Error, Refusals::InvalidInput]
        def to_h
          check
          fields = @input.except(*(Contracts::NewEngineEntry::WHERE - %i[acknowledged])).compact
          fields[:ohm] = ohms(fields[:ohm]) if fields.key?(:ohm)
          fields[:value] = figure(fields[:value]) if fields.key?(:value)
          judge(fields)
          fields
        end

        private

        def check
          case @input[:craft]
          when 'kill' then check_kill
          when 'plugs' then check_plugs
          when 'cap' then EngineEntry.cap(@input)
          when 'sum' then Wattomneum::Sums::Calculator.call(Wattomneum::Sums::Catalogue.fetch(@input[:sum]), @input[:typed].transform_keys(&:to_s),
                                                            limits: @engine.limits)
          end
        end

        def check_kill
          search = @engine.kill_search(@input[:sheet], @input[:device])
          branch = @input[:branch]
          known = search.all.map(&:key) + (@input[:kind] == 'mended' ? [KILL::LEAD, KILL::UNIT] : [])
          refuse('branch', 'no such branch on this circuit') unless branch.nil? || known.include?(branch)
          refuse('asked', 'it is not asked to stop that way') unless @input[:asked].nil? || search.interlocks.any? { |one| one.key == @input[:asked] }
        end

        KILL = Wattomneum::Ignition::Kill::Entry
        PLUGS = Wattomneum::Ignition::Plugs::Entry
        private_constant :KILL, :PLUGS

        def check_plugs
          return Wattomneum::Ignition::FiringOrder.read(@input[:order]) if @input[:kind] == 'begun'

          order = @engine.plugs&.order || refuse('kind', 'say the firing order first')
          odd = [@input[:cylinder], *@input[:dead]].compact.find { |one| !order.cylinders.include?(one) }
          refuse(@input[:dead] ? 'dead' : 'cylinder', "this engine has no cylinder #{odd}") if odd
          refuse('cylinder', 'say which cylinder') if of_one_cylinder? && @input[:cylinder].nil?
          refuse('change', 'is no change of this search') unless @input[:change].nil? || @engine.plugs.change?(@input[:change])
        end

        def of_one_cylinder?
          return PLUGS::PARTS.fetch(@input[:part]) if @input[:part]

          @input[:figure] ? Wattomneum::Ignition::Figures.kind(@input[:figure]).cylinder : false
        end

        def figure(text)
          return ohms(text) if Wattomneum::Ignition::Figures.kind(@input[:figure]).unit == 'ohm'

          Wattomneum::Quantities::Entry.number(text)&.to_f || refuse('value', 'is not a number')
        end

        def ohms(text)
          entry = Wattomneum::Quantities::Entry.new(text: text, quantity: 'resistance')
          return KILL::OVER_RANGE_OHM if entry.overload?

          entry.value.negative? ? refuse('ohm', 'no resistance is below 0') : entry.value
        end

        # A lead by the metre wants its length before it is kept.
        def judge(fields)
          Wattomneum::Ignition::Figures.new(@engine.limits).judge(fields[:figure], fields[:value], length_m: fields[:length_m]) if fields[:figure]
        end

        def refuse(field, sentence)
          raise Refusals::InvalidInput.of({ field => [sentence] })
        end
      end
    end
  end
end
