# frozen_string_literal: true

module Wattomneum
  module Ignition
    module Plugs
      # What each change is worth by the run after it. A run without a spark wets the plug again: a change is judged only with a dry one in, and the
      # drying counts as a change of its own only until it was tried alone.
      class Trials
        # changes: entries between two runs; came_back, lost: cylinders; verdict: cured, one_of, masked, no_difference or worse; words
        Trial = Struct.new(:changes, :came_back, :lost, :verdict, :words, keyword_init: true)

        # @param entries [Array<Entry>] in the order in which they were made
        def initialize(entries)
          @entries = entries
          @hanging = []
          @idle = []
          @trials_so_far = []
          @all = runs.each_cons(2).filter_map { |before, after| trial(@entries[before].dead, changes_in(before, after), after) }
          freeze
        end

        # @return [Array<Trial>] one for each run but the first, where anything was changed before it
        attr_reader :all

        # @return [Array<Entry>] changes that made no difference
        attr_reader :idle

        # @return [Boolean] whether something was changed behind a wet plug and is not judged yet
        def hanging? = @hanging.any?

        # @return [Array<Integer>, nil] cylinders dead in the last run; nil where it was not run
        def dead = runs.last && @entries[runs.last].dead

        # @return [Array<Entry>] changes that no run has followed yet
        def pending = changes_in(runs.last || -1, @entries.size)

        # @param cylinder [Integer]
        # @param before [Integer] place in the list
        # @return [Boolean] whether its plug was seen such that it keeps a mended cylinder dead, and no dry one was put in since it last ran so
        def masked?(cylinder, before: @entries.size)
          earlier = @entries.first(before)
          seen = earlier.rindex { |one| one.kind == 'plug' && one.cylinder == cylinder }
          return false unless seen && Look::ALL.fetch(@entries[seen].state).masks

          wetted = [seen, earlier.rindex { |one| one.kind == 'run' && one.dead.include?(cylinder) } || 0].max
          @entries[wetted...before].none? { |one| one.dry_plug? && one.cylinder == cylinder }
        end

        # @param cylinder [Integer]
        # @return [Boolean] whether a dry plug was tried in it with nothing else changed
        def dried_alone?(cylinder) = tried_alone?(cylinder, @all)

        private

        def runs = @entries.each_index.select { |at| @entries[at].kind == 'run' }
        def changes_in(from, to) = @entries[(from + 1)...to].select { |one| one.kind == 'change' }

        def tried_alone?(cylinder, trials)
          trials.any? { |one| one.changes.all?(&:dry_plug?) && one.changes.any? { |change| change.cylinder == cylinder } }
        end

        def trial(dead_before, changes, after)
          return if changes.empty?

          dead_now = @entries[after].dead
          found = Trial.new(changes: changes, came_back: dead_before - dead_now, lost: dead_now - dead_before)
          still = concerned(changes, dead_before) & dead_now
          judge(found, still.any? && still.all? { |cylinder| masked?(cylinder, before: after) }, dead_now)
        end

        # Those that a change could have brought back.
        def concerned(changes, dead)
          changes.flat_map { |one| Entry::PARTS.fetch(one.part) ? [one.cylinder] : dead }.uniq & dead
        end

        def judge(found, masked, dead_now)
          judged = weighed(found)
          found.verdict, found.words =
            if found.lost.any? then ['worse', "#{said(judged)}: #{cylinders(found.lost)} dead since. Look at what was moved"]
            elsif found.came_back.any? then came_back(found, @hanging + judged)
            elsif masked then hang(judged, dead_now)
            else let_go(judged)
            end
          @trials_so_far << found
          found
        end

        # A plug dried beside something else is no change once it was tried alone.
        def weighed(found)
          others = found.changes.reject { |one| one.part == 'plug_dried' && tried_alone?(one.cylinder, @trials_so_far) }
          others.empty? ? found.changes : others
        end

        def came_back(found, candidates)
          @hanging = []
          back = cylinders(found.came_back)
          return ['cured', "#{said(candidates)} brought back #{back}"] if candidates.one?

          ['one_of', "#{back} came back by one of: #{said(candidates)}"]
        end

        def hang(judged, dead_now)
          @hanging += judged
          ['masked', "#{said(judged)}: the plug of #{cylinders(dead_now)} is not dry. A dry one in, and run it again"]
        end

        # What was changed behind a wet plug is judged with it.
        def let_go(judged)
          idle = @hanging + judged
          @idle.concat(idle)
          @hanging = []
          ['no_difference', said(idle)]
        end

        def said(changes) = changes.map(&:spoken).join('; ')
        def cylinders(list) = list.one? ? "cylinder #{list.first}" : "cylinders #{list.join(' and ')}"
      end
    end
  end
end
