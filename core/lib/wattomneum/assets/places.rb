# frozen_string_literal: true

module Wattomneum
  module Assets
    # Where individuals stand on a unit: its starter, its alternator, and the relays that its circuit draws.
    class Places
      # key: starter, alternator, or the UUID of a relay, which outlives names; kind: key of Kinds
      Place = Struct.new(:key, :kind, :label, keyword_init: true)

      # @param system [Units::ElectricalSystem]
      # @param sheet [Circuits::Sheet, nil] the unit's circuit
      def initialize(system, sheet)
        @system = system
        @sheet = sheet
      end

      # @return [Array<Place>]
      def all = @all ||= [*starter, *alternator, *relays]

      # @param key [String]
      # @return [Place, nil]
      def find(key) = all.find { |place| place.key == key }

      private

      def starter = @system.starter? ? [Place.new(key: 'starter', kind: 'starter', label: 'Starter')] : []

      def alternator
        return [] if @system.alternator_rating_ampere.nil? || @system.converter?

        [Place.new(key: 'alternator', kind: 'alternator', label: 'Alternator')]
      end

      # The solenoid goes with its starter.
      def relays
        return [] if @sheet.nil?

        solenoid = @sheet.places['solenoid_terminal'].to_s.split(':').first
        @sheet.parts.grep(Circuits::Parts::Relay).reject { |part| part.id == solenoid }
              .map { |part| Place.new(key: part.uuid, kind: 'relay', label: part.label == part.id ? part.id : "#{part.id} #{part.label}") }
      end
    end
  end
end
