# frozen_string_literal: true

require_relative 'killed_search'
require_relative 'product'

# The application on a kill circuit: the same minutes for the same pulling.
class KilledProduct < Product
  private

  def minutes_of(probe, _taken)
    return OpenEvidence::READ_MINUTES if probe.by == 'seen'

    OpenEvidence.new(@technician.kase).minutes_of(probe)
  end
end
