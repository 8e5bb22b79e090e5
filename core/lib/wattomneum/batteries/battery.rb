# frozen_string_literal: true

module Wattomneum
  module Batteries
    # What is known of one individual battery. Age alone never condemns it.
    class Battery
      TYPES = { 'flooded' => 'flooded', 'maintenance_free' => 'maintenance-free flooded', 'agm' => 'AGM',
                'gel' => 'gel', 'lithium' => 'lithium', 'capacitor' => 'capacitor module' }.freeze

      attr_reader :tag, :type, :rating, :capacity_ampere_hour, :made_on

      # @param tag [String]
      # @param type [String] key of TYPES
      # @param rating [Rating]
      # @param capacity_ampere_hour [Float, nil]
      # @param made_on [Date, nil] first day of the month its date code says
      # @raise [InvalidQuantityError] for an unknown type
      def initialize(tag:, type:, rating:, capacity_ampere_hour: nil, made_on: nil)
        raise InvalidQuantityError.new("type must be one of #{TYPES.keys.join(', ')}", field: 'type') unless
          TYPES.key?(type)

        @tag = tag
        @type = type
        @rating = rating
        @capacity_ampere_hour = capacity_ampere_hour
        @made_on = made_on
        freeze
      end

      # @return [Boolean] AGM and gel, which share a rest-voltage table and have no cells to draw from
      def recombinant? = %w[agm gel].include?(type)

      # @return [Boolean] false for lithium and capacitor modules, which have volts, charge and limits of their own
      def lead_acid? = !%w[lithium capacitor].include?(type)

      # @return [Boolean] true when a hydrometer can reach the cells
      def open_cells? = type == 'flooded'
    end
  end
end
