# frozen_string_literal: true

module Wattomneum
  module Ignition
    module Plugs
      # How a plug looks. means: what that says, not: what it does not; masks: such a plug may keep a mended cylinder dead.
      class Look < Struct.new(:key, :label, :means, :not, :masks, keyword_init: true)
        ALL = DataFile.load('plug_states').to_h { |row| [row['key'], new(**row.transform_keys(&:to_sym)).freeze] }.freeze
      end
    end
  end
end
