# frozen_string_literal: true

RSpec.describe Wattomneum::Ignition::Plugs::Evidence do
  let(:order) { Wattomneum::Ignition::FiringOrder.read('1-3-4-2') }
  let(:three_dead) { [run(3), entry('plug', cylinder: 3, state: 'wet')] }
  let(:bad_lead) { entry('figure', figure: 'lead_per_m', cylinder: 3, value: 90_000.0, length_m: 0.6) }

  def entry(kind, **about) = Wattomneum::Ignition::Plugs::Entry.new(kind: kind, **about)
  def run(*dead) = entry('run', dead: dead)
  def change(part, cylinder = nil, **about) = entry('change', part: part, cylinder: cylinder, **about)
  def evidence(*entries, **about) = described_class.new(order, entries, **about)

  it 'asks for a run first, then for the plug of the dead one, then for its lead' do
    expect(evidence.next_step.kind).to eq('run')
    expect(evidence(run(3)).next_step.to_h).to include(kind: 'plug', cylinder: 3)
    expect(evidence(*three_dead).next_step.to_h).to include(kind: 'figure', cylinder: 3, figure: 'lead_per_m')
    expect(evidence(run).next_step.kind).to eq('done')
  end

  it 'dries the plug before anything is changed, tries that alone, and goes on with it dry' do
    expect(evidence(*three_dead, bad_lead).next_step.to_h).to include(kind: 'change', part: 'plug_dried', cylinder: 3)
    expect(evidence(*three_dead, bad_lead, change('plug_dried', 3)).next_step.kind).to eq('run')
    again = [*three_dead, bad_lead, change('plug_dried', 3), run(3)]
    expect(evidence(*again).next_step.part).to eq('plug_dried')
    step = evidence(*again, change('plug_dried', 3)).next_step
    expect(step.to_h).to include(kind: 'change', part: 'lead', cylinder: 3)
    expect(step.words).to include('150 kohm a metre, usual 10 kohm to 25 kohm')
    cured = evidence(*again, change('plug_dried', 3), change('lead', 3), run)
    expect(cured.trials.all.map(&:verdict)).to eq(%w[no_difference cured])
    expect(cured.trials.all.last.words).to eq('lead of cylinder 3 brought back cylinder 3')
  end

  it 'says beforehand that two changes will not be told apart' do
    expect(evidence(*three_dead, change('lead', 3), change('cap')).next_step.words).to include('2 changes since the last run')
  end

  # Handbook: a wet plug may keep it dead after the real fault is mended, so a dry one before judging.
  context 'with a lead mended behind a wet plug' do
    let(:masked) { [*three_dead, change('lead', 3, new_part: true), run(3)] }

    it 'judges nothing, and asks for a dry plug' do
      found = evidence(*masked)
      expect(found.trials.all.map(&:verdict)).to eq(['masked'])
      expect(found.next_step.to_h).to include(kind: 'change', part: 'plug_dried', cylinder: 3)
      expect(found.to_shelf).to eq([])
    end

    it 'says that either the lead or the dry plug did it' do
      found = evidence(*masked, change('plug_dried', 3), run)
      expect(found.trials.all.last).to have_attributes(verdict: 'one_of', came_back: [3])
      expect(found.trials.all.last.words).to include('lead of cylinder 3', 'plug, dried and cleaned of cylinder 3')
    end

    it 'clears the lead where a dry plug stays dead, and sends it back to the shelf' do
      seen = [*masked, change('plug_dried', 3), run(3), change('plug_dried', 3), change('cap', words: 'own one cleaned'), run]
      found = evidence(*seen)
      expect(found.trials.all.map(&:verdict)).to eq(%w[masked no_difference cured])
      expect(found.next_step.to_h).to include(kind: 'shelf', part: 'lead')
      place, = found.to_shelf.first
      expect(evidence(*seen, entry('shelf', change: place)).next_step.kind).to eq('done')
    end

    it 'is wet again after every run without a spark' do
      found = evidence(*masked, change('plug_dried', 3), run(3), change('cap'), run(3))
      expect(found.trials.all.map(&:verdict)).to eq(%w[masked no_difference masked])
    end
  end

  it 'attributes a cure to the one change before it, and to one of two where there were two' do
    expect(evidence(*three_dead, change('plug', 3), run).trials.all.first).to have_attributes(verdict: 'cured', came_back: [3])
    expect(evidence(*three_dead, change('plug', 3), change('cap'), run).trials.all.first.verdict).to eq('one_of')
  end

  it 'keeps polarity and heat range, the last word of each' do
    found = evidence(entry('polarity', reversed: true), entry('heat_range', words: 'hotter'), entry('polarity', reversed: false))
    expect([found.polarity.verdict, found.heat_range, evidence.polarity, evidence.heat_range]).to eq(['sound', 'hotter', nil, nil])
  end

  it 'says so where a change made another cylinder die' do
    expect(evidence(*three_dead, change('cap'), run(3, 4)).trials.all.first).to have_attributes(verdict: 'worse', lost: [4])
  end

  it 'looks to the coil where a pair that shares one is dead together' do
    seen = [run(1, 4), entry('plug', cylinder: 1, state: 'wet'), entry('plug', cylinder: 4, state: 'wet')]
    expect(evidence(*seen, wasted: true).next_step.to_h).to include(kind: 'figure', figure: 'secondary')
    expect(evidence(*seen).next_step.to_h).to include(figure: 'lead_per_m')
  end

  # A hidden fault in every part in turn, the plug wetted by the dead cylinder: followed blindly, the faulty part is changed, and nothing that was
  # changed behind the wet plug is sent back to the shelf.
  %w[plug lead cap rotor].each do |faulty|
    it "gets to a hidden fault of the #{faulty}" do
      mended = false
      wet = true
      entries = []
      until (step = evidence(*entries).next_step).kind == 'done' || entries.size > 40
        case step.kind
        when 'run'
          wet = true unless mended
          entries << run(*(mended && !wet ? [] : [3]))
        when 'plug' then entries << entry('plug', cylinder: 3, state: 'wet')
        when 'figure' then entries << entry('figure', figure: step.figure, cylinder: step.cylinder, length_m: 0.5,
                                                      value: faulty == 'lead' ? 80_000.0 : 8_000.0)
        when 'change'
          wet = false if Wattomneum::Ignition::Plugs::Entry::DRY.include?(step.part)
          mended ||= step.part == faulty
          entries << change(step.part, step.cylinder, new_part: true)
        else entries << entry('shelf', change: evidence(*entries).to_shelf.first.first)
        end
      end
      expect(evidence(*entries).next_step.kind).to eq('done')
      expect(entries.select { |one| one.kind == 'shelf' }.map { |one| entries[one.change].part }).not_to include(faulty)
    end
  end
end
