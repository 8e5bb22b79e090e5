# frozen_string_literal: true

module Server
  module Presenters
    # How likely each part of a complaint's circuit is at fault, in words, or how far the table for it is worked out.
    class Suspects
      # So many are held against each reading.
      MOST_PREDICTED = 3
      MOST_PARTS = 40
      MOST_NAMED = 3
      WORDS = Wattomneum::Faults::Paths::Words
      private_constant :MOST_PREDICTED, :MOST_PARTS, :MOST_NAMED, :WORDS

      # @param record [Queries::JobRecord]
      # @return [Hash, nil] nil where a job is not told by belief, and where there is nothing to go by yet
      def self.call(record)
        suspicion = record.assessment.paths&.suspicion
        return progress(record) if suspicion.nil?

        new(suspicion).call if suspicion.speaks?
      end

      def self.progress(record)
        share = record.suspects.progress
        share && { progress: share.round(2), line: nil, parts: [], left: [], misfit_reading_id: nil }
      end
      private_class_method :progress

      # @param suspicion [Wattomneum::Faults::Paths::Suspicion]
      def initialize(suspicion)
        @suspicion = suspicion
      end

      def call
        units = @suspicion.suspects.keys.first(MOST_PARTS)
        { progress: nil, line: line, parts: units.each_with_index.map { |unit, place| part(unit, place) }, left: left,
          misfit_reading_id: @suspicion.misfit&.id }
      end

      private

      def part(unit, place)
        { unit: unit.key, short: WORDS.part(unit), word: @suspicion.word(unit), predicted: place < MOST_PREDICTED ? predicted(unit) : [] }
      end

      # Who is suspected, in a line.
      def line
        by_word = @suspicion.suspects.keys.group_by { |unit| @suspicion.word(unit) }
        word = (by_word.keys - ['open']).first
        return ["#{word.capitalize}: #{WORDS.any_of(by_word.fetch(word))}", *pasts(by_word.fetch(word))].join('. ') if word
        return 'Nothing on this circuit is suspected' if by_word.empty?

        "#{by_word.fetch('open').size} parts open, none stands out"
      end

      # What of the unit's own past speaks for the few that are named.
      def pasts(units)
        return [] if units.size > MOST_NAMED

        units.filter_map { |unit| (words = @suspicion.past(unit)) && "#{WORDS.part(unit)}: #{words}" }
      end

      # What each reading did to the suspects, in the order they were taken.
      def left
        before = nil
        @suspicion.left.map do |reading, units|
          same = before && before.to_set == units.to_set
          before = units
          { reading_id: reading.id, words: same ? "Still #{spoken(units)}" : "Leaves #{spoken(units)}" }
        end
      end

      def spoken(units)
        return 'no part of this circuit' if units.empty?

        units.size > MOST_NAMED ? "#{units.size} parts" : WORDS.any_of(units)
      end

      def predicted(unit)
        @suspicion.measured.map { |one| { reading_id: one.id, spoken: Wattomneum::Quantities::Figure.volt(@suspicion.volt_with(unit, one.probe)) } }
      end
    end
  end
end
