# frozen_string_literal: true

module Wattomneum
  module Circuits
    # How the sheets of a unit become one drawing.
    module Assembling
      # Key states of several sheets in one order. A sheet that does not know a state does there what it does in the one that follows
      # it: before the glow is over the key is on, and whatever is no glow plug knows no difference.
      class States
        # @return [Hash{String => String}] key to label, in order
        attr_reader :labels

        # @param sheets [Array<Sheet>]
        def initialize(sheets)
          @labels = sheets.map(&:states).reduce { |known, more| woven(known, more) }
          freeze
        end

        # @param sheet [Sheet]
        # @param listed [Array<String>] key states of that sheet
        # @return [Array<String>] the same in terms of all
        def spread(sheet, listed)
          listed = listed.map(&:to_s)
          labels.keys.select { |state| listed.include?(standing_in(sheet, state)) }
        end

        private

        # What is new goes behind whatever it comes after on its own sheet.
        def woven(known, more)
          order = known.keys
          before = nil
          more.each_key do |state|
            order.insert(before ? order.index(before) + 1 : 0, state) unless order.include?(state)
            before = state
          end
          order.to_h { |state| [state, known[state] || more[state]] }
        end

        def standing_in(sheet, state)
          return state if sheet.states.key?(state)

          at = labels.keys.index(state)
          following = labels.keys.drop(at + 1).find { |one| sheet.states.key?(one) }
          following || labels.keys.first(at).reverse.find { |one| sheet.states.key?(one) }
        end
      end
    end
  end
end
