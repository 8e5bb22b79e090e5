# frozen_string_literal: true

# How a program that specs start is run: as people start it, without the compiler that the specs themselves may run with.
module Interpreted
  RUBYOPT = ENV['RUBYOPT']&.gsub(/\s*--yjit\b/, '')
end
