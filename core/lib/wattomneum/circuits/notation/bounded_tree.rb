# frozen_string_literal: true

require 'psych'

module Wattomneum
  module Circuits
    module Notation
      # Builds the tree of a YAML text, and stops reading as soon as it is deeper or has more values than a sheet may have: the reader
      # itself takes time with the square of the depth.
      class BoundedTree < Psych::TreeBuilder
        STEPS_A_VALUE = 5
        private_constant :STEPS_A_VALUE

        # Where it was given up, and the way out.
        class TooMuch < StandardError
          attr_reader :line, :column, :way_out

          def initialize(message, line:, column:, way_out:)
            super(message)
            @line = line
            @column = column
            @way_out = way_out
          end
        end

        def initialize
          super
          @depth = 0
          @values = 0
        end

        # The parser's calls: what each begins or ends.
        def event_location(start_line, start_column, end_line, end_column)
          @line = start_line + 1
          @column = start_column + 1
          super
        end

        def start_sequence(*) = deeper { super }
        def start_mapping(*) = deeper { super }

        def end_sequence
          @depth -= 1
          super
        end

        def end_mapping
          @depth -= 1
          super
        end

        def scalar(*)
          @values += 1
          stop('more values than a sheet has', 'Split it into sheets') if @values > Budgets[:sheet_values]
          Effort.spend!(STEPS_A_VALUE)
          super
        end

        private

        def deeper
          @depth += 1
          stop('nested too deep for a sheet', 'A sheet has lists of components and wires, no more') if @depth > Budgets[:sheet_depth]
          yield
        end

        def stop(message, way_out) = raise(TooMuch.new(message, line: @line, column: @column, way_out: way_out))
      end
    end
  end
end
