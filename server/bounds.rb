# frozen_string_literal: true

require 'yaml'

module Server
  # How much one request, session or question may ask of the house: one table, printed in docs/bounds.md.
  module Bounds
    Bound = Struct.new(:id, :value, :unit, :words, :why, keyword_init: true)
    ALL = YAML.safe_load_file(File.join(__dir__, 'bounds.yml')).map { |row| Bound.new(**row.transform_keys(&:to_sym)).freeze }.freeze
    VALUES = ALL.to_h { |bound| [bound.id.to_sym, bound.value] }.freeze

    # @param id [Symbol]
    # @return [Integer] in the unit that the id ends with
    def self.[](id) = VALUES.fetch(id)
  end
end
