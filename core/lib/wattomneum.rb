# frozen_string_literal: true

require 'zeitwerk'
require_relative 'wattomneum/errors'

# The computation of the product: what a reading is worth, what it rules in and out, what to do next.
# Knows no web, no database, no clock and no environment; reads no file but its own data/ (see DataFile).
module Wattomneum
  VERSION = '0.1.0'

  loader = Zeitwerk::Loader.for_gem
  loader.ignore("#{__dir__}/wattomneum/errors.rb")
  loader.setup
end
