# frozen_string_literal: true

# What the shipped sheets say of themselves is what is understood of them without their saying.
RSpec.describe Wattomneum::Circuits::Assembling::UnderstoodPlaces do
  library = Wattomneum::Circuits::Library
  roles = %w[positive_post negative_post starter_stud starter_case solenoid_terminal alternator_output alternator_case excitation_terminal
             sense_terminal]

  %w[start_12v start_24v charge_12v charge_external_24v].each do |key|
    it "finds posts, starter and alternator of #{key} by its loops, as the sheet names them" do
      drawn = library.fetch(key)
      bare = drawn.with_places({})
      found = described_class.on(bare).places
      expect(found).to eq(drawn.places.slice(*(roles & found.keys)))
      expect(found.keys).to include('positive_post', 'negative_post')
      expect(described_class.on(drawn).places).to include(drawn.places)
    end
  end

  it 'judges the starter\'s whole feed on a sheet that names no places' do
    sheet = library.fetch('start_24v').with_places({})
    assembly = Wattomneum::Circuits::Assembly.new([sheet, *Wattomneum::Circuits::UsualSheets.for(series_pair, drawn: [sheet])])
    machine = Wattomneum::Circuits::Fitment.new(assembly.sheet, system: series_pair).machine
    seen = [reading('cranking_behaviour', 'slow', system: series_pair), reading('cranking_current', 400.0, system: series_pair),
            reading('positive_drop', 2.2, system: series_pair)]
    judged = Wattomneum::Faults::Assessment.new(system: series_pair, machine: machine, readings: seen).judgements.fetch(seen.last.id)
    expect([judged.verdict, judged.code, judged.limits.map(&:id)]).to eq(%w[act drop.over].push(['drop.positive_cranking']))
  end
end
