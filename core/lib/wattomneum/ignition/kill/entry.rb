# frozen_string_literal: true

module Wattomneum
  module Ignition
    module Kill
      # One thing that was done on a kill circuit, or seen.
      #
      # kind: of KINDS; branch: key of the branch it is about, or LEAD or UNIT; spark: whether there was one; ohm: to ground; stage: of STAGES;
      # words: what was mended, or what a cause that cleared itself may have been; asked: way of asking for a stop, skipped; at: Time
      class Entry < Struct.new(:kind, :branch, :spark, :ohm, :stage, :words, :asked, :at, keyword_init: true)
        # The lead off the ignition unit, all branches off the stud, one branch back on it, one branch by ohms, something mended, a cause put on
        # watch, put together again up to a stage, a stop that nobody tries.
        KINDS = %w[lead_off all_off branch_on branch_ohm mended watched refit skipped].freeze
        # Ohms that stand for OL.
        OVER_RANGE_OHM = 1e9
        # What is mended that is no branch: the lead between ignition unit and stud, or what makes the spark.
        LEAD = 'lead'
        UNIT = 'unit'
        # How a machine goes together again, a spark tried after each.
        STAGES = { 'stud' => 'all branches tightened on the stud', 'plugs' => 'plugs, clips and ties back',
'covers' => 'doors, covers and guards on' }.freeze
      end
    end
  end
end
