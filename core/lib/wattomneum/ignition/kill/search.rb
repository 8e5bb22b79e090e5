# frozen_string_literal: true

module Wattomneum
  module Ignition
    module Kill
      # A magneto without a spark, from the kill lead to the last interlock that is seen to stop it. Branches go back onto the stud one at a time
      # and stay there as long as there is a spark; one that takes it away comes off again, so that two that ground at once are both found.
      #
      # What was seen before something was mended says nothing of it afterwards: it is asked for once more.
      class Search
        # What grounds a branch and lets go again (common practice).
        CLEARS_ITSELF = ['a switch that sticks or has a weak spring', 'a crimp that was made anew and touches', 'a sleeve rubbed through',
                         'damp dust across a switch'].freeze
        # state: open, proved, ran_on or skipped; words: why it was skipped
        Interlock = Struct.new(:key, :label, :state, :words, keyword_init: true)

        STATE_BY_OUTCOME = { 'stopped' => 'proved', 'ran_on' => 'ran_on' }.freeze
        private_constant :STATE_BY_OUTCOME

        # @param branches [Branches]
        # @param asked [Array<Circuits::Questions::StopTable::Asked>] every way to ask for a stop
        # @param entries [Array<Entry>] in the order in which they were made
        # @param limits [Limits::Table]
        # @param trials [Hash{String => Array(String, Time)}] outcome (stopped or ran_on) and time of the last trial, by way of asking
        def initialize(branches, asked:, entries:, trials: {}, limits: Limits::Table.shipped)
          @branches = branches
          @asked = asked
          @entries = entries
          @trials = trials
          @insulation_least = limits.fetch('ignition.kill_insulation_least')
        end

        # @return [Limits::Limit] ohms to ground of a branch that is off the stud, its switch at rest, over which it is sound
        attr_reader :insulation_least

        # @return [Array<Branches::Branch>]
        def all = @branches.all

        # @return [Array<Branches::Branch>] on the stud, with a spark
        def on = tried.select { |_, entry| entry.spark }.map(&:first)

        # @return [Array<Branches::Branch>] that took the spark away and have not been mended since
        def grounding = tried.reject { |_, entry| entry.spark }.map(&:first)

        # @param branch [Branches::Branch]
        # @return [Float, nil] its ohms to ground, read since it last was on the stud
        def ohm(branch) = last('branch_ohm', branch: branch.key, since: since_on(branch))&.ohm

        # @param branch [Branches::Branch]
        # @return [Boolean] whether it grounded on the stud and is sound by ohms: what did it comes and goes
        def comes_and_goes?(branch) = grounding.include?(branch) && (ohm(branch) || 0) >= insulation_least.value

        # @return [Boolean] whether the spark came back without anything having been mended
        def cleared_itself? = all_on? && lead_off&.spark && all_off&.spark && @entries.none? { |one| one.kind == 'mended' }

        # @return [Boolean] whether what took the spark away let go by itself, in one branch or altogether: it may come again
        def to_watch? = cleared_itself? || @entries.any? { |one| one.kind == 'branch_ohm' && one.ohm >= insulation_least.value }

        # @return [Boolean] whether a watch was opened for that
        def watched? = @entries.any? { |one| one.kind == 'watched' }

        # @return [Array<Interlock>] every way to ask for a stop, as it was tried since the machine went together
        def interlocks
          @asked.map do |one|
            outcome, at = @trials[one.key]
            skipped = last('skipped', asked: one.key, since: put_together_at)
            state = if tried_since?(at)
                      STATE_BY_OUTCOME.fetch(outcome)
                    else
                      (skipped ? 'skipped' : 'open')
                    end
            Interlock.new(key: one.key, label: one.label, state: state, words: (skipped.words if state == 'skipped'))
          end
        end

        # @return [Boolean] whether every interlock was seen to kill it
        def proved? = together? && interlocks.all? { |one| one.state == 'proved' }

        # @return [NextStep::Step]
        def next_step = @next_step ||= NextStep.new(self).call

        # @return [Entry, nil] the last that still counts
        def lead_off = last('lead_off', since: mended_at(Entry::UNIT))

        # @return [Entry, nil]
        def all_off = last('all_off', since: mended_at(Entry::LEAD))

        # @return [Array<Branches::Branch>] not on the stud yet, nor found to ground
        def untried = all - tried.map(&:first)

        # @return [Boolean]
        def all_on? = on.size == all.size

        # @return [String, nil] the next stage that wants a spark, nil once all are back
        def stage = Entry::STAGES.keys.find { |key| !last('refit', stage: key, since: loose_since)&.spark }

        # @return [Boolean] whether the machine is together again with a spark
        def together? = all_on? && stage.nil?

        # @return [String, nil] the stage of putting together that took the spark away
        def lost_at = @entries.last&.then { |one| one.kind == 'refit' && !one.spark ? one.stage : nil }

        private

        def at(entry) = @entries.index(entry)

        # The last of a kind that stands behind a place in the list.
        def last(kind, since: -1, **about)
          @entries.each_with_index.to_a.reverse.find do |one, at|
            at > since && one.kind == kind && about.all? do |name, value|
              one[name] == value
            end
          end&.first
        end

        def mended_at(what) = last('mended', branch: what)&.then { |one| at(one) } || -1

        # What a stage of putting together took away has every branch tried anew.
        def undone_at = @entries.rindex { |one| one.kind == 'refit' && !one.spark } || -1

        def tried
          all.filter_map do |branch|
            entry = last('branch_on', branch: branch.key, since: [mended_at(branch.key), undone_at].max)
            [branch, entry] if entry
          end
        end

        def since_on(branch) = last('branch_on', branch: branch.key)&.then { |one| at(one) } || -1

        # From the last time anything was off: what was put together before that is loose again.
        def loose_since = @entries.rindex { |one| %w[branch_on mended all_off lead_off].include?(one.kind) } || -1

        def put_together_at = @entries.rindex { |one| one.kind == 'refit' } || -1

        def tried_since?(time) = !time.nil? && together? && (@entries[put_together_at].at.nil? || time >= @entries[put_together_at].at)
      end
    end
  end
end
