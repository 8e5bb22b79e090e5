# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # A relay or a solenoid with a contact: switches by the current in its coil, not by volts, since an open coil still
      # shows the whole supply.
      class Relay < Part
        CONTACT_OHM = 0.004
        # Common practice: a small relay pulls in at 60 % of its rated volts at the latest and lets go at 20 %.
        PULL_IN_RATIO = 0.6
        # Cold coil of a cube relay by system (common practice).
        COIL_OHM = { 6 => 21, 12 => 85, 24 => 320, 48 => 1280 }.freeze
        DROP_OUT_RATIO = 0.2
        # Coils differ by this much from their label, so near the threshold either may happen (common practice).
        SPREAD_RATIO = 0.1

        def pins = %w[30 85 86 87] + (fields['changeover'] ? ['87a'] : [])

        def branches
          [coil, *suppression,
           branch('30', '87', contact_ohm, gate: :energised, name: 'contact 30 to 87'),
           *(fields['changeover'] ? [branch('30', '87a', contact_ohm, gate: :rest, name: 'contact 30 to 87a')] : [])]
        end

        # A solenoid's contacts carry hundreds of ampere; a plug-in relay's do not.
        SOLENOID_CONTACT_OHM = 0.001

        def stud?(pin) = contact_ohm <= SOLENOID_CONTACT_OHM && %w[30 87].include?(pin)

        # @return [Float] ampere in the coil at which it has pulled in
        def pull_in_ampere = (number('pull_in_volt') || (system_volt * PULL_IN_RATIO)) / coil_ohm

        # @return [Float] ampere in the coil under which it lets go
        def drop_out_ampere = (number('drop_out_volt') || (system_volt * DROP_OUT_RATIO)) / coil_ohm

        # The coil shows as a load of its own: it clicks.
        def watches
          [Watch.new(key: id, label: "#{label} clicks", kind: 'relay', from: node('86'), to: node('85'),
                     least_volt: pull_in_ampere * coil_ohm, codes: fields.fetch('codes', []).map(&:to_s))]
        end

        private

        def coil_ohm = number('coil_ohm', COIL_OHM.fetch(system_volt))
        def contact_ohm = number('ohm', CONTACT_OHM)
        def coil = branch('86', '85', coil_ohm, name: 'coil')

        def suppression
          case fields['suppression']
          when 'resistor' then [branch('86', '85', number('suppression_ohm', 680), name: 'resistor across the coil')]
          when 'diode' then [branch('85', '86', 0.1, volt: 0.7, gate: :forward, name: 'diode across the coil')]
          else []
          end
        end
      end
    end
  end
end
