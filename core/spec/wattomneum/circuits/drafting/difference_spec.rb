# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drafting::Difference do
  it 'names what is new, gone and changed, and what of it' do
    now = typed(one: row('wire', uuid(4), number: '1', from: 'BAT:+', to: 'F1:1', colour: 'red/white', size: '4', length_m: '1,2'),
                three: row('wire', uuid(7), number: '4', from: 'H1:2', to: 'BAT:-')).sheet
    changes = described_class.between(typed.sheet, now)
    expect(changes.map { |one| [one.item, one.what, one.words] })
      .to eq([['wire 1', 'changed', ['colour red/white, was red', 'size 4 mm2, was 2.5 mm2']], ['wire 4', 'new', []], ['wire 3', 'gone', []]])
    renamed = described_class.between(typed.sheet, DraftFixtures::DRAFTING::Draft.new(typed.head.merge('title' => 'Lamp'), typed.rows).sheet)
    expect(renamed.map { |one| [one.uuid, one.item, one.words] }).to eq([[nil, 'the sheet', ['title Lamp, was A lamp']]])
  end
end
