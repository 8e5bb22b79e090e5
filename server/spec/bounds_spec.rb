# frozen_string_literal: true

RSpec.describe Server::Bounds do
  it 'is printed in the documents, row by row' do
    rows = described_class::ALL.map { |bound| "| #{bound.words} | #{bound.value} #{bound.unit} | #{bound.why} | `#{bound.id}` |" }
    printed = File.readlines(File.join(Server::ROOT, 'docs/bounds.md'), chomp: true).grep(/\A\| .* \| `/)
    expect(printed).to eq(rows)
  end

  it 'knows no bound that is not in the table' do
    expect { described_class[:none] }.to raise_error(KeyError)
  end
end
