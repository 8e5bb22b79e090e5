# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Notation
      # What is wrong with a sheet as written: where, what, and the way out.
      Problem = Struct.new(:line, :column, :message, :way_out, keyword_init: true) do
        # @return [String] "line 12, column 7: wire 103 goes to K1:88, which relay K1 has not. Pins of K1: 30, 85, 86, 87, 87a"
        def to_s = "line #{line}, column #{column}: #{message}. #{way_out}"
      end
    end
  end
end
