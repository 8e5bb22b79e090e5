# frozen_string_literal: true

module Wattomneum
  module Ignition
    module Plugs
      # All that is known of a spark engine that misses: plugs, figures, trials, parts to go back, and what to do next.
      class Evidence
        # entry: of kind figure; judged: Figures::Judged
        Measured = Struct.new(:entry, :kind, :judged, keyword_init: true)
        # kind: of Entry::KINDS or "done"; cylinder, part, figure: what it is about; words; cautions: ids
        Step = Struct.new(:kind, :cylinder, :part, :figure, :words, :cautions, keyword_init: true)

        # @param order [FiringOrder]
        # @param entries [Array<Entry>]
        # @param wasted [Boolean] whether cylinders a turn apart share a coil
        # @param limits [Limits::Table]
        def initialize(order, entries, wasted: false, limits: Limits::Table.shipped)
          @order = order
          @entries = entries
          @wasted = wasted
          @figures = Figures.new(limits)
        end

        # @return [Trials]
        def trials = @trials ||= Trials.new(@entries)

        # @return [Array<Integer>, nil] cylinders dead in the last run
        def dead = trials.dead

        # @return [Hash{Integer => Look}] by cylinder, as each plug was seen last
        def plugs = of('plug').to_h { |one| [one.cylinder, Look::ALL.fetch(one.state)] }

        # @return [Array<Measured>] the last figure of each kind and cylinder
        def measured
          @measured ||= latest_figures.map do |one|
            kind = Figures.kind(one.figure)
            Measured.new(entry: one, kind: kind,
                         judged: @figures.judge(one.figure, one.value, length_m: one.length_m, neighbours: neighbours(one, kind)))
          end
        end

        # @return [Figures::Judged, nil] of the coil, as it was seen last
        def polarity = of('polarity').last&.then { |one| Figures::POLARITY.fetch(one.reversed) }

        # @return [String, nil] heat range of the plugs as it was chosen last: hotter for light work; no verdict
        def heat_range = of('heat_range').last&.words

        # @return [Array<Array(Integer, Entry)>] places and changes of new parts that made no difference and have not gone back to the shelf
        def to_shelf
          idle = trials.idle
          gone = of('shelf').map(&:change)
          @entries.each_with_index.select { |one, at| one.new_part && idle.include?(one) && !gone.include?(at) }.map(&:reverse)
        end

        # @return [Array<Integer>, nil] a pair that shares a coil and is dead together, and nothing else
        def dead_pair = @wasted && dead ? @order.pairs.find { |pair| pair.sort == dead.sort } : nil

        # @return [Step]
        def next_step
          return run if dead.nil? || to_run?
          return back_to_shelf || done if dead.empty?

          (dry_plug if trials.hanging?) || look || pair || lead || dry_plug || change
        end

        private

        def of(kind) = @entries.select { |one| one.kind == kind }
        def latest_figures = of('figure').reverse.uniq { |one| [one.figure, one.cylinder] }.reverse

        def neighbours(entry, kind)
          latest_figures.select { |one| one.figure == entry.figure && one.cylinder != entry.cylinder }
                        .map { |one| @figures.by_metre(kind, one.value, one.length_m) }
        end

        # A plug that was dried is tried alone once, and after that goes with what is changed.
        def to_run?
          pending = trials.pending
          pending.any? && !(pending.all?(&:dry_plug?) && pending.all? { |one| one.part == 'plug_dried' && trials.dried_alone?(one.cylinder) })
        end

        def step(kind, words, cautions: [], **about) = Step.new(kind: kind, words: words, cautions: cautions, **about)

        def run
          step('run', "Run it, and take the spark from one cylinder at a time, into its grounded tester: no change, it is dead#{after_change}",
               cautions: %w[running spark_test])
        end

        def after_change
          count = trials.pending.count { |one| !(one.part == 'plug_dried' && trials.dried_alone?(one.cylinder)) }
          return '' if count.zero? || dead.nil?

          count == 1 ? '. One change since the last run' : ". #{count} changes since the last run: what helped will be one of them"
        end

        # What is changed behind a wet plug cannot be judged.
        def dry_plug
          cylinder = dead.find { |one| trials.masked?(one) } or return
          step('change', "Put a dry plug into cylinder #{cylinder}: a wet one may keep it dead though it is mended", cylinder: cylinder,
part: 'plug_dried')
        end

        def look
          cylinder = dead.find { |one| !plugs.key?(one) } or return
          step('plug', "Take the plug of cylinder #{cylinder} out and look at it beside one that fires", cylinder: cylinder, cautions: %w[spark_test])
        end

        def pair
          pair = dead_pair or return
          return if latest_figures.any? { |one| one.figure == 'secondary' }

          step('figure', "Cylinders #{pair.join(' and ')} share a coil and are dead together: its secondary, its driver, either lead",
               figure: 'secondary')
        end

        def lead
          cylinder = dead.find { |one| latest_figures.none? { |figure| figure.cylinder == one && Figures.kind(figure.figure).cylinder } } or return
          step('figure', "Lead of cylinder #{cylinder} by ohms, and a neighbour of like length beside it", cylinder: cylinder, figure: 'lead_per_m')
        end

        def change
          cylinder = dead.first
          bad = measured.find { |one| one.judged.verdict == 'act' && [nil, cylinder].include?(one.entry.cylinder) }
          part = bad ? part_of(bad) : next_part(cylinder)
          why = bad ? "#{bad.kind.label}: #{bad.judged.words}" : 'not tried yet'
          step('change', "One change: #{Entry::LABELS.fetch(part)}#{" of cylinder #{cylinder}" if Entry::PARTS.fetch(part)} (#{why}). Then run it",
               cylinder: (cylinder if Entry::PARTS.fetch(part)), part: part)
        end

        PART_OF = { 'lead_per_m' => 'lead', 'copper_lead' => 'lead', 'primary' => 'coil', 'secondary' => 'coil', 'ballast' => 'ballast',
                    'condenser' => 'condenser', 'points_gap' => 'points', 'magneto_gap' => 'other' }.freeze
        # Cheapest first (ours). What serves every cylinder is left for engines on which all are dead.
        ONE_DEAD = %w[plug_dried lead plug cap rotor].freeze
        ALL_DEAD = %w[points condenser coil rotor ballast].freeze
        private_constant :PART_OF, :ONE_DEAD, :ALL_DEAD

        # What was renewed for a figure is not bad by that figure any more.
        def part_of(measured)
          part = PART_OF.fetch(measured.kind.key)
          since = @entries.index(measured.entry)
          changed = @entries.drop(since).any? do |one|
            one.kind == 'change' && one.part == part && [nil, measured.entry.cylinder].include?(one.cylinder)
          end
          changed ? next_part(dead.first) : part
        end

        def next_part(cylinder)
          list = dead.size == @order.size ? ALL_DEAD : ONE_DEAD
          tried = of('change').select { |one| [nil, cylinder].include?(one.cylinder) }.map(&:part)
          (list - tried).first || 'other'
        end

        def back_to_shelf
          _, change = to_shelf.first
          change && step('shelf', "It fires on all. Not needed, back to the shelf: #{change.spoken}", part: change.part, cylinder: change.cylinder)
        end

        def done = step('done', 'It fires on every cylinder')
      end
    end
  end
end
