# frozen_string_literal: true

module Wattomneum
  module Ignition
    # Loose leads given to cylinders by their length.
    module LeadLengths
      # cylinder; lead_cm: of the lead it gets; need_cm
      Given = Struct.new(:cylinder, :need_cm, :lead_cm, keyword_init: true)

      # The longest way gets the longest lead, and so on down: if any choice reaches everywhere, this one does.
      #
      # @param needs [Hash{Integer => Numeric}] cylinder to the way from its tower to its plug, cm
      # @param leads [Array<Numeric>] lengths, cm
      # @return [Array<Given>] by cylinder
      # @raise [InvalidQuantityError] where there are not as many leads as cylinders, or one does not reach however they are given
      def self.give(needs, leads)
        unless leads.size == needs.size
          raise InvalidQuantityError.new("#{leads.size} leads for #{needs.size} cylinders: measure them all, or leave the lengths out",
                                         field: 'leads')
        end

        given = needs.sort_by { |cylinder, need| [-need, cylinder] }.zip(leads.sort.reverse).map do |(cylinder, need), lead|
          Given.new(cylinder: cylinder, need_cm: need, lead_cm: lead)
        end
        short = given.find { |one| one.lead_cm < one.need_cm }
        return given.sort_by(&:cylinder) if short.nil?

        raise InvalidQuantityError.new("None of these leads reaches cylinder #{short.cylinder}: it wants #{short.need_cm} cm, the longest left is " \
                                       "#{short.lead_cm}", field: 'leads')
      end
    end
  end
end
