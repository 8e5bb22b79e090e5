# frozen_string_literal: true

module Wattomneum
  module Faults
    # What a complaint can be about, from core/data/orders_of_work.yml, in the order in which people are asked.
    module OrdersOfWork
      # How it fails: choice for a button; words for a job of it, nil where its component is named before; left_open: who is suspected, and what
      # would tell, where every test in order is sound
      Way = Struct.new(:key, :choice, :words, :left_open, keyword_init: true)
      WAYS = DataFile.load('how_it_fails')
      # loop: of the circuit, for starting and charging; parts: kinds of components it can be said of; named: words of their labels;
      # ways: in which it can fail, the usual one first
      Row = Struct.new(:key, :words, :loop, :parts, :named, :situation, :ways, keyword_init: true) do
        # @param row [Hash] of orders_of_work.yml
        # @return [Row]
        def self.of(row)
          ways = row.fetch('ways', WAYS).map { |way| Way.new(**way.transform_keys(&:to_sym)).freeze }
          new(**row.transform_keys(&:to_sym), ways: ways.freeze).freeze
        end

        # @param key [String]
        # @return [Way, nil]
        def way(key) = ways.find { |one| one.key == key }

        # @param key [String, nil] as a job has it; older ones may have a way that is not asked for any more
        # @return [Way] the usual one where nobody said how
        def said(key) = way(key) || ways.first

        # @return [Boolean] whether it is followed along the paths of one component
        def along_paths? = loop.nil?

        # @param part [Circuits::Part]
        # @return [Boolean]
        def about?(part)
          along_paths? && parts.include?(part.kind) && (named.nil? || named.any? { |word| part.label.downcase.include?(word) })
        end
      end
      ALL = DataFile.load('orders_of_work').map { |row| Row.of(row) }.freeze
      private_constant :WAYS

      # Every way in which something can fail.
      WAYS_KNOWN = ALL.flat_map { |row| row.ways.map(&:key) }.uniq.freeze

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
