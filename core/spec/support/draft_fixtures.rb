# frozen_string_literal: true

# A lamp on a fuse as one types it into the editor.
module DraftFixtures
  DRAFTING = Wattomneum::Circuits::Drafting

  def uuid(number) = format('00000000-0000-4000-8000-%012d', number)
  def row(kind, uuid, **typed) = DRAFTING::Draft::Row.new(uuid: uuid, kind: kind, typed: typed.transform_keys(&:to_s))

  def typed(**changes)
    rows = { bat: row('component', uuid(1), id: 'BAT', kind: 'battery', facts: 'volt: 12.6, ohm: 0.01'),
             fuse: row('component', uuid(2), id: 'F1', kind: 'fuse', label: 'Lamp', facts: 'rating_ampere: 10'),
             lamp: row('component', uuid(3), id: 'H1', kind: 'load', label: 'Lamp', facts: 'watt: 21'),
             one: row('wire', uuid(4), number: '1', from: 'BAT:+', to: 'F1:1', colour: 'red', size: '2,5', length_m: '1,2'),
             two: row('wire', uuid(5), number: '2', from: 'F1:2', to: 'H1:1', size: '14 AWG', length_m: '2'),
             three: row('wire', uuid(6), number: '3', from: 'H1:2', to: 'BAT:-', size: '2.5 mm2') }
    DRAFTING::Draft.new({ 'sheet' => 'lamp', 'title' => 'A lamp', 'system_volt' => 12 }, rows.merge(changes).values)
  end
end
