# frozen_string_literal: true

module Server
  module Contracts
    # How a book is printed: on which paper, and from which side its plugs are seen, all of them from the same one.
    class BookWish < Base
      params do
        optional(:paper).value(:string, included_in?: Book::Paper::ALL.keys)
        optional(:view).value(:string, included_in?: Wattomneum::Circuits::ConnectorFace::VIEWS)
        optional(:page).value(:integer, gt?: 0, lteq?: 1_000)
      end
    end
  end
end
