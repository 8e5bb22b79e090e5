# frozen_string_literal: true

module Server
  module Contracts
    # A wire list of another hand, which of its columns is what of a wire, and whether components that nobody drew get rows too.
    class ListToTake < Base
      FOREIGN = Wattomneum::Circuits::Drafting::ForeignList

      json do
        required(:csv).value(:string, :filled?, max_size?: 2_000_000)
        required(:columns).hash { FOREIGN::COLUMNS.each { |name| optional(name.to_sym).value(:integer, gteq?: 0) } }
        required(:length_unit).value(:string, included_in?: FOREIGN::LENGTHS.keys)
        required(:components).value(:bool)
      end
    end
  end
end
