# frozen_string_literal: true

RSpec.describe Server::FieldLabels do
  it 'calls fields as the screens do, units behind a comma' do
    expect(%w[usual_cranking_current_ampere low_celsius section_mm2 rest_volt capacity_ampere_hour yard_id probe.from symptom.part email craft]
             .map { |field| described_class.of(field) })
      .to eq(['Usual cranking current, A', 'Low tonight, °C', 'Section, mm²', 'Rest, V', 'Capacity, Ah', 'Yard', 'Red lead on', 'What does not work',
              'E-mail', 'Craft'])
  end

  # Every field that a contract takes: no name of a column is read to somebody.
  it 'leaves no name of a column to be read' do
    fields = Dir[File.join(Server::ROOT, 'server/contracts/*.rb')].flat_map { |file| File.read(file).scan(/(?:required|optional)\(:(\w+)\)/).flatten }
    expect(fields.uniq.map { |field| described_class.of(field) }.grep(/_|\Aid\b/)).to be_empty
  end

  it 'says in a refusal what is wrong with which field and what to do, three at most' do
    wrong = { 'name' => ['is empty: fill it in'], 'usual_cranking_current_ampere' => ['is no number: write digits, as in 12.6'] }
    expect(Server::Refusals::InvalidInput.of(wrong).message)
      .to eq('Name is empty: fill it in. Usual cranking current, A is no number: write digits, as in 12.6')
    expect(Server::Refusals::InvalidInput.of({ 'low_celsius' => ['say how cold it gets'] }).message).to eq('Low tonight, °C: say how cold it gets')
    four = %w[a b c d].to_h { |field| [field, ['is missing']] }
    expect(Server::Refusals::InvalidInput.of(four).message).to eq('A is missing. B is missing. C is missing. 1 more below')
  end
end
