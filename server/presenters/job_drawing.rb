# frozen_string_literal: true

module Server
  module Presenters
    # A job on one of the sheets of its circuit: the drawing, and what was read and who is suspected where it belongs on it.
    class JobDrawing
      WORDS = Wattomneum::Faults::Paths::Words
      STANDS_OUT = ['at fault', 'strong suspect', 'suspected'].freeze
      private_constant :WORDS, :STANDS_OUT

      # @param record [Queries::JobRecord]
      # @param key [String, nil] of the sheet; nil for the first that its complaint lies on
      # @raise [Refusals::NotFound] where its circuit has no such sheet
      def self.call(record, key) = new(record, key).call

      # @param record [Queries::JobRecord]
      # @param key [String, nil]
      def initialize(record, key)
        @record = record
        @circuit = record.circuit
        @kase = record.assessment.paths
        @drawn = @circuit.drawn.map { |one| [one, @circuit.about?(one.sheet)] }.sort_by.with_index { |(_, about), at| [about ? 0 : 1, at] }
        @read, = @drawn.find { |one, _| key.nil? || one.sheet.key == key }
        raise Refusals::NotFound, 'No such sheet in the circuit of this job' if @read.nil? && (key || @drawn.any?)
      end

      # @return [Hash]
      def call
        { job: { id: @record.id, number: @record.job.number, unit: { id: @record.unit.id, number: @record.unit.number } },
          sheets: @drawn.map { |one, about| { key: one.sheet.key, title: one.sheet.title, about: about } }, sheet: @read&.sheet&.key,
          **drawing, **on_sheet }
      end

      private

      def drawing
        return { before: nil, pictures: [], problem: 'this unit has no circuit that can be worked out' } if @read.nil?

        order = @read.drawing
        return { before: order.before, pictures: [], problem: nil } unless order.done?

        { before: nil, **Circuits::SheetDrawing.call(order, @read.sheet, @read.overrides.keys) }
      end

      def on_sheet
        return { ids: {}, readings: [], suspects: [] } if @read.nil? || @kase.nil? || @circuit.machine.nil?

        { ids: ids.reject { |here, there| here == there }, readings: readings, suspects: suspects }
      end

      # Of each component here, what it is called on the unit's circuit.
      def ids
        @ids ||= begin
          there = @kase.machine.sheet.parts.to_h { |part| [part.uuid, part.id] }
          @read.sheet.parts.filter_map { |part| (id = there[@circuit.now(part.uuid)]) && [part.id, id] }.to_h
        end
      end

      # Posts and frame are where a reading is taken against; it belongs to its other end.
      def readings
        @kase.current.filter_map do |one|
          from, to = one.probe.then { |probe| [probe.from, probe.to] }.map { |node| pin(node) }
          next if from.nil? && to.nil?

          { id: one.id, label: upper(WORDS.probe(one.probe, @kase.machine)), spoken: one.spoken, verdict: verdict(one), from: from, to: to,
            at: against_post?(one.probe) ? [from].compact : [from, to].compact }
        end
      end

      def against_post?(probe) = probe.to == @kase.circumstances.negative_post

      def pin(node)
        id, pin = node.to_s.split(':', 2)
        here = ids.key(id)
        here && "#{here}:#{pin}"
      end

      def verdict(reading) = @kase.judgements.fetch(reading.id).verdict
      def upper(words) = words[0].upcase + words[1..]

      # What is convicted by a reading first, then whom belief has above the others.
      def suspects
        words = convicted.to_h { |unit| [unit, 'at fault'] }
        suspicion = @kase.suspicion
        suspicion.suspects.each_key { |unit| words[unit] ||= suspicion.word(unit) } if suspicion&.speaks?
        words.select { |_, word| STANDS_OUT.include?(word) }.filter_map { |unit, word| line(unit, word) }
      end

      def convicted
        keys = @kase.current.flat_map { |one| @kase.judgements.fetch(one.id).convicts }.uniq
        @kase.machine.repair_units.all.select { |unit| keys.include?(unit.key) }
      end

      # nil where none of it lies on this sheet.
      def line(unit, word)
        parts, wires = [@read.sheet.parts, @read.sheet.wires].map { |all| all.select { |one| unit.item_uuids.include?(@circuit.now(one.uuid)) } }
        return if parts.empty? && wires.empty?

        { label: unit.label, word: word, parts: parts.map(&:id), wires: wires.map(&:uuid) }
      end
    end
  end
end
