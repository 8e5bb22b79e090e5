# frozen_string_literal: true

module Wattomneum
  module Ignition
    module Kill
      # What to do next on a kill circuit.
      class NextStep
        # kind: of Entry::KINDS, or "prove" (see it stop) or "done"; branch, stage, asked: what it is about; words: what to do; expect: what each
        # answer means; cautions: ids
        Step = Struct.new(:kind, :branch, :stage, :asked, :words, :expect, :cautions, keyword_init: true)
        # As it begins, and while branches go on and off.
        BEFORE = %w[before_kill_lead kill_lead spark_test].freeze
        AMIDST = %w[kill_lead spark_test].freeze
        private_constant :BEFORE, :AMIDST

        # @param search [Search]
        def initialize(search)
          @search = search
        end

        # @return [Step]
        def call = find_unit || find_lead || find_branch || put_together || prove || done

        private

        def step(kind, words, expect: [], cautions: BEFORE, **about)
          Step.new(kind: kind, words: words, expect: expect, cautions: cautions, **about)
        end

        def find_unit
          seen = @search.lead_off
          return lead_off if seen.nil?
          return if seen.spark

          step('mended', 'No kill lead, and no spark: the kill circuit is cleared. Look at the gap to the flywheel, the plug lead and its cap, ' \
                         'then the ignition unit', branch: Entry::UNIT, expect: ['Say what was mended; then try it once more without it'],
                                                   cautions: %w[turning_by_hand spark_test])
        end

        def lead_off
          step('lead_off', 'Take the one kill lead off the ignition unit and try for a spark',
               expect: ['Spark: something in the kill circuit grounds it', 'None: ignition unit, gap or plug lead'])
        end

        def find_lead
          seen = @search.all_off
          return all_off if seen.nil?
          return if seen.spark

          step('mended', 'Nothing on the stud, and no spark: the lead from the ignition unit to the stud touches metal',
               branch: Entry::LEAD, expect: ['Say what was mended; then all branches off once more'], cautions: %w[kill_lead])
        end

        def all_off
          step('all_off', 'Kill lead back on the ignition unit, every branch off the common stud. Spark?',
               expect: ['Spark: one branch or several ground it', 'None: the lead from the ignition unit to the stud'])
        end

        def find_branch
          return branch_on(@search.untried.first) if @search.untried.any?

          branch = @search.grounding.first
          return read_ohms(branch) if branch && @search.ohm(branch).nil?
          return mend(branch) if branch

          watch if @search.to_watch? && !@search.watched?
        end

        def branch_on(branch)
          beside = { 'Stays on' => @search.on, 'Stays off' => @search.grounding }.reject { |_, list| list.empty? }
          standing = beside.map { |words, list| "#{words}: #{list.map(&:label).join('; ')}" }
          step('branch_on', "#{branch.label} (#{branch.wire}) onto the stud. Spark?", branch: branch.key, cautions: AMIDST,
               expect: [*standing, 'Spark: it stays on', 'None: it grounds; off again, and left off'])
        end

        def read_ohms(branch)
          least = Quantities::Figure.ohm(@search.insulation_least.value)
          step('branch_ohm', "#{branch.label}: engine stopped, the branch off the stud, its switch as it stands while the engine runs. Ohms from " \
                             'its wire to the block', branch: branch.key, cautions: %w[kill_lead],
                                                      expect: ["Under #{least}: it touches metal now", "#{least} or more: it comes and goes"])
        end

        def mend(branch)
          why = if @search.comes_and_goes?(branch)
                  'sound by ohms now, and took the spark away: it comes and goes. Move its wire and switch while you read ohms; ' \
                    "#{Search::CLEARS_ITSELF.join(', ')}"
                else
                  "touches metal: #{branch.switches.map(&:label).join(', ')} out of it, then along its wire"
                end
          step('mended', "#{branch.label}: #{why}", branch: branch.key, cautions: %w[kill_lead],
expect: ['Say what was mended; it goes back onto the stud'])
        end

        def watch
          step('watched', 'All branches are on and there is a spark, but what took it away let go by itself: not proved. On watch with what it ' \
                          "may have been: #{Search::CLEARS_ITSELF.join(', ')}", cautions: [], expect: ['Move each branch first, while it sparks'])
        end

        def put_together
          stage = @search.stage or return
          step('refit', "Put together: #{Entry::STAGES.fetch(stage)}. Spark?", stage: stage, cautions: %w[before_kill_lead spark_test],
                        expect: ['Spark: go on', 'None: what this moved grounds a branch; every branch is tried once more'])
        end

        def prove
          open = @search.interlocks.find { |one| one.state == 'ran_on' } || @search.interlocks.find { |one| one.state == 'open' } or return
          return runs_on(open) if open.state == 'ran_on'

          step('prove', "See it stop: #{open.label}", asked: open.key, cautions: %w[try_stop],
expect: ['It stops: proved', 'It runs on: this branch is open'])
        end

        def runs_on(interlock)
          branch = @search.all.find { |one| one.asked.include?(interlock.key) }
          step('mended', "#{interlock.label} does not stop it: #{branch&.label || 'that way'} does not reach ground. Wire, switch, ground; " \
                         'then try it again', branch: branch&.key || Entry::LEAD, cautions: %w[kill_lead try_stop], expect: ['Say what was mended'])
        end

        def done
          skipped = @search.interlocks.select { |one| one.state == 'skipped' }
          return step('done', 'Spark, together, and every interlock was seen to stop it', cautions: []) if skipped.empty?

          step('done', "Not proved to stop it: #{skipped.map { |one| "#{one.label} (#{one.words})" }.join(', ')}", cautions: %w[try_stop])
        end
      end
    end
  end
end
