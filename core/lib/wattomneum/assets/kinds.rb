# frozen_string_literal: true

module Wattomneum
  # What of a unit is an individual with a life of its own, batteries apart.
  module Assets
    # Kinds of individuals, from core/data/asset_kinds.yml.
    module Kinds
      # What its plate says: least and most that any has.
      Rating = Struct.new(:label, :unit, :least, :most, keyword_init: true)

      # One kind: its rating, the tests that say how it does, the cautions where it is changed.
      Kind = Struct.new(:key, :label, :rating, :tests, :cautions, keyword_init: true) do
        # @param figure [Float, nil] what its plate says
        # @return [Float, nil]
        # @raise [InvalidQuantityError] if no such thing has so much
        def check(figure)
          return figure if figure.nil? || figure.between?(rating.least, rating.most)

          raise InvalidQuantityError.new("#{rating.label} of a #{Wording.inside(label)} is #{rating.least} to #{rating.most} #{rating.unit}, " \
                                         "got #{Quantities::Figure.trim(figure, 2)}", field: 'rating')
        end

        # @param figure [Float, nil]
        # @return [String, nil] "130 A"
        def spoken(figure) = figure && "#{Quantities::Figure.trim(figure, 2)} #{rating.unit}"
      end

      ALL = DataFile.load('asset_kinds').map do |row|
        rating = Rating.new(**row.fetch('rating').transform_keys(&:to_sym))
        Kind.new(**row.transform_keys(&:to_sym), rating: rating).freeze
      end.freeze
      BY_KEY = ALL.to_h { |kind| [kind.key, kind] }.freeze

      # @param key [String]
      # @return [Kind]
      # @raise [UnknownKeyError]
      def self.fetch(key)
        BY_KEY.fetch(key) { raise UnknownKeyError, "no kind of part #{key}" }
      end
    end
  end
end
