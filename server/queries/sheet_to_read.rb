# frozen_string_literal: true

module Server
  module Queries
    # A circuit sheet as it is read at one place: a version, and what one unit or job has otherwise.
    class SheetToRead
      # @param id [String] of a sheet on a unit, or of a version by itself
      # @return [SheetToRead]
      # @raise [Refusals::NotFound]
      def self.by_id(id)
        fitted = Models::UnitSheet.where(id: id).eager(:unit, version: :sheet).first
        return of(fitted, fitted: fitted) if fitted

        version = Models::SheetVersion.where(id: id).eager(:sheet).first || raise(Refusals::NotFound, 'No such sheet')
        new(version, {})
      end

      # @param held [#version, #overrides] a sheet on a unit, or one that a job holds
      # @return [SheetToRead]
      def self.of(held, fitted: nil) = new(held.version, held.overrides.to_h, fitted: fitted)

      # @return [Models::SheetVersion]
      attr_reader :version
      # @return [Hash] by item UUID
      attr_reader :overrides
      # @return [Models::UnitSheet, nil] with its unit; nil for a version by itself, and where a job holds it
      attr_reader :fitted

      # @param version [Models::SheetVersion] with its sheet
      # @param overrides [Hash]
      # @param fitted [Models::UnitSheet, nil]
      def initialize(version, overrides, fitted: nil)
        @version = version
        @overrides = overrides
        @fitted = fitted
      end

      # @return [Models::Unit, nil]
      def unit = fitted&.unit

      # @return [Wattomneum::Circuits::Machine]
      def machine = @machine ||= Machines.of(version, overrides)

      # @return [Wattomneum::Circuits::Sheet]
      def sheet = machine.sheet

      # @return [Models::SheetDrawing] what there is of it; ordered where there is nothing. One for all that have the version, but for a unit
      #   whose wires lead elsewhere
      def drawing
        @drawing ||= lies_otherwise? ? Models::SheetDrawing.order_sheet(sheet) : Models::SheetDrawing.order(version.content, version.digest)
      end

      private

      # What decides where a thing is drawn.
      PLACES = %w[from to body zone].freeze
      private_constant :PLACES

      def lies_otherwise? = overrides.any? { |_, own| own.keys.intersect?(PLACES) }
    end
  end
end
