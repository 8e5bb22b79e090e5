# frozen_string_literal: true

module Server
  module Contracts
    # A draft becomes a version: onto which one, where another was published meanwhile.
    class Publication < Base
      json { optional(:onto).maybe(Types::Uuid) }
    end
  end
end
