# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drafting::BlockCopy do
  it 'copies components with the wires between them under numbers that are free' do
    numbers = (20..29).each
    made = described_class.of(typed.rows, [uuid(2), uuid(3)]) { uuid(numbers.next) }
    expect(made.map { |one| one.typed.values_at('id', 'number', 'from', 'to').compact }).to eq([['F2'], ['H2'], %w[4 F2:2 H2:1]])
    whole = Wattomneum::Circuits::Drafting::Draft.new(typed.head, typed.rows + made)
    expect([whole.objections, whole.sheet.part('F2').fields['rating_ampere']]).to eq([[], 10])
  end
end
