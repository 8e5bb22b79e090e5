# frozen_string_literal: true

module Wattomneum
  module Faults
    # What a complaint can be about, from core/data/orders_of_work.yml, in the order in which people are asked.
    module OrdersOfWork
      # loop: of the circuit, for starting and charging; parts: kinds of components it can be said of; named: words of their labels
      Row = Struct.new(:key, :words, :loop, :parts, :named, :situation, keyword_init: true) do
        # @return [Boolean] whether it is followed along the paths of one component
        def along_paths? = loop.nil?

        # @param part [Circuits::Part]
        # @return [Boolean]
        def about?(part)
          along_paths? && parts.include?(part.kind) && (named.nil? || named.any? { |word| part.label.downcase.include?(word) })
        end
      end
      ALL = DataFile.load('orders_of_work').map { |row| Row.new(**row.transform_keys(&:to_sym)).freeze }.freeze

      # @param key [String]
      # @return [Row]
      # @raise [UnknownKeyError]
      def self.fetch(key) = ALL.find { |row| row.key == key } || raise(UnknownKeyError, "no complaint is about #{key}")

      # @param part [Circuits::Part]
      # @return [Row, nil] the first that a complaint about this part belongs to; nil where nothing is said of such a part
      def self.about(part) = ALL.find { |row| row.about?(part) }
    end
  end
end
