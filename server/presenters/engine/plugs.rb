# frozen_string_literal: true

module Server
  module Presenters
    class Engine
      # An engine that misses: each cylinder, figures, what every change was worth, what goes back to the shelf, what comes next.
      class Plugs
        def self.call(plugs, engine) = new(plugs, engine).call

        # @param plugs [Queries::Engine::Plugs]
        # @param engine [Presenters::Engine]
        def initialize(plugs, engine)
          @plugs = plugs
          @engine = engine
          @evidence = plugs.evidence
        end

        def call
          { order: @plugs.order.to_s, wasted: @plugs.wasted, cylinders: @plugs.order.cylinders.sort.map { |one| cylinder(one) },
            dead: @evidence.dead, figures: figures, heat_range: @evidence.heat_range, trials: trials, to_shelf: to_shelf, next_step: next_step,
            log: @plugs.rows.map { |row| @engine.line(row, words(row)) } }
        end

        private

        def trials = @evidence.trials.all.map { |one| { verdict: one.verdict, words: one.words } }

        def cylinder(number)
          state = @evidence.plugs[number]
          { cylinder: number, dead: @evidence.dead&.include?(number), masked: @evidence.trials.masked?(number),
            plug: state && { label: state.label, means: state.means, not: state.not } }
        end

        def figures
          rows = @evidence.measured.map { |one| [figure_label(one), one.judged] } + [['Coil polarity', @evidence.polarity]].select(&:last)
          rows.map { |label, judged| { label: label, verdict: judged.verdict, words: judged.words } }
        end

        def figure_label(one) = one.entry.cylinder ? "#{one.kind.label}, cylinder #{one.entry.cylinder}" : one.kind.label

        def to_shelf
          @evidence.to_shelf.map { |place, change| { change: @plugs.rows[place].id, words: change.spoken } }
        end

        def next_step
          step = @evidence.next_step
          { **step.to_h.slice(:kind, :cylinder, :part, :figure, :words), cautions: Engine.cautions(step.cautions),
            change: (to_shelf.first&.fetch(:change) if step.kind == 'shelf') }
        end

        def words(row)
          said = row.plain
          case row.kind
          when 'run' then said[:dead].empty? ? 'Run: fires on all' : "Run: dead #{said[:dead].join(', ')}"
          when 'plug' then "Plug of cylinder #{said[:cylinder]}: #{Wattomneum::Ignition::Plugs::Look::ALL.fetch(said[:state]).label.downcase}"
          when 'figure' then figure_words(said)
          when 'change' then "Changed: #{row.to_plugs({}).spoken}#{', new part' if said[:new_part]}"
          when 'polarity' then "Coil #{said[:reversed] ? 'reversed' : 'the right way round'}"
          when 'heat_range' then "Heat range: #{said[:words]}"
          else 'Back to the shelf'
          end
        end

        def figure_words(said)
          kind = Wattomneum::Ignition::Figures.kind(said[:figure])
          value = kind.unit == 'ohm' ? Wattomneum::Quantities::Figure.ohm(said[:value]) : "#{said[:value]} #{kind.unit}"
          [kind.label, *("cylinder #{said[:cylinder]}" if said[:cylinder]), value].join(', ')
        end
      end
    end
  end
end
