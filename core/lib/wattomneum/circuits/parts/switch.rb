# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # Isolator, key switch, door switch, emergency stop: contacts that are closed in some key states.
      class Switch < Part
        CONTACT_OHM = 0.002

        def pins = contacts.flat_map { |contact| [contact['from'].to_s, contact['to'].to_s] }.uniq

        def stud?(_pin) = kind == 'isolator'

        def branches
          contacts.map do |contact|
            branch(contact['from'], contact['to'], (contact['ohm'] || number('ohm', CONTACT_OHM)).to_f, gate: :states,
                   states: contact.fetch('closed_in', []).map(&:to_s), name: "contact #{contact['from']} to #{contact['to']}")
          end
        end

        private

        # A plain switch has one contact between its pins 1 and 2.
        def contacts
          fields['contacts'] || [{ 'from' => '1', 'to' => '2', 'closed_in' => fields.fetch('closed_in', []) }]
        end
      end
    end
  end
end
