# frozen_string_literal: true

RSpec.describe Wattomneum::Budgets do
  let(:reader) { Wattomneum::Circuits::Notation::SheetReader }

  def circuit(text) = reader.read(text).sheet.circuit

  it 'refuse a mesh by what one solve would take, and a heap of relays, each with its figure' do
    expect { circuit(HeavySheets.mesh(40)) }.to raise_error(Wattomneum::OverBudgetError, /sums, and at most 8000/)
    expect { circuit(HeavySheets.relays(150)) }.to raise_error(Wattomneum::OverBudgetError, /150 relays, and at most 100/)
    states = Array.new(13) { |index| "s#{index}: S" }.join(', ')
    expect { circuit("#{HeavySheets.splices(2)}states: { #{states} }\n") }.to raise_error(Wattomneum::OverBudgetError, /13 states/)
  end

  it 'take a harness of a thousand wires and a chain of a thousand splices, and answer' do
    harness, chain = [HeavySheets.harness(1000), HeavySheets.splices(1000)].map { |text| Wattomneum::Circuits::Machine.new(reader.read(text).sheet) }
    expect(harness.pin_reading.at('F0:1').map(&:loaded_volt)).to all(be_between(10.0, 12.7))
    expect(harness.paths('key_on').to_supply('L90x2:1').complete).to be(true)
    # Ohm's law: between the posts lies one row of wires, rings and the load.
    row_ohm = chain.circuit.owned.reject { |one| one.part&.kind == 'battery' }.sum { |one| one.branch.ohm }
    posts, load = %w[BAT:+ END:1].map { |pin| chain.settled.fetch('key_on').solution.volt(chain.circuit.node(pin)) }
    expect(load).to be_within(0.01).of(posts * 4 / row_ohm)
  end

  it 'stop reading a text that is nested without end, long before its end' do
    ["a: #{'[' * 40_000}", "a: #{'{a: ' * 40_000}", "#{'- ' * 40_000}x"].each do |text|
      steps = Wattomneum::Effort.of { expect(reader.read(text).problems.first.message).to include('nested too deep') }
      expect(steps).to be < 100
    end
    many = "sheet: [#{'1,' * (described_class[:sheet_values] + 1)}]"
    expect(reader.read(many).problems.first.message).to include('more values')
  end

  it 'leave every sheet that ships a tenth of them at most' do
    Wattomneum::Circuits::Library::TEXTS.each_value do |text|
      elimination = circuit(text).network.instance_variable_get(:@elimination)
      expect(elimination.steps.sum { |step| step.pairs.size / 3 }).to be < described_class[:elimination_sums] / 10
    end
  end

  it 'are printed in the documents' do
    printed = File.readlines(File.join(__dir__, '../../../docs/circuits.md'), chomp: true).grep(/\A\| [^|]* \| \d+ [a-z]+ \| `/)
    expect(printed).to eq(described_class::ALL.map { |budget| "| #{budget.words} | #{budget.value} #{budget.unit} | `#{budget.id}` |" })
  end
end
