# frozen_string_literal: true

module Wattomneum
  module Ignition
    # A spark engine that does not fire on every cylinder: what its plugs show, what was changed, and how it ran after that.
    module Plugs
      # One thing that was seen or done.
      #
      # kind: of KINDS; cylinder; state: key of a Look; figure: of Figures::KINDS, with value and length_m; part: of PARTS; new_part: whether it came
      # from stock; words; dead: cylinders that did not fire in a run; reversed: whether the coil is; change: place of a change whose part went
      # back to the shelf; at: Time
      class Entry < Struct.new(:kind, :cylinder, :state, :figure, :value, :length_m, :part, :new_part, :words, :dead, :reversed, :change, :at,
                               keyword_init: true)
        KINDS = %w[run plug figure polarity change heat_range shelf].freeze
        # What is changed, and whether it serves one cylinder.
        PARTS = { 'plug' => true, 'plug_dried' => true, 'lead' => true, 'cap' => false, 'rotor' => false, 'points' => false, 'condenser' => false,
                  'coil' => false, 'ballast' => false, 'other' => false }.freeze
        LABELS = { 'plug' => 'plug', 'plug_dried' => 'plug, dried and cleaned', 'lead' => 'lead', 'cap' => 'cap', 'rotor' => 'rotor',
                   'points' => 'points',
                   'condenser' => 'condenser', 'coil' => 'coil', 'ballast' => 'ballast', 'other' => 'something else' }.freeze
        DRY = %w[plug plug_dried].freeze

        # @return [Boolean] whether it puts a dry plug into its cylinder
        def dry_plug? = kind == 'change' && DRY.include?(part)

        # @return [String] what was changed, as people say it
        def spoken
          what = cylinder && PARTS[part] ? "#{LABELS.fetch(part)} of cylinder #{cylinder}" : LABELS.fetch(part)
          [what, *(words unless words.to_s.empty?)].join(': ')
        end
      end
    end
  end
end
