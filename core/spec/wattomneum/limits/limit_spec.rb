# frozen_string_literal: true

RSpec.describe Wattomneum::Limits::Limit do
  let(:shipped) { Wattomneum::Limits::Table.shipped }

  def limit(id, volt = 'any') = shipped.fetch(id, system_volt: volt)

  it 'is called by what it is and the voltage it holds for' do
    expect([limit('cranking.posts_least', 12), limit('cranking.posts_least', 24)].map { |one| [one.row_id, one.name] })
      .to eq([['cranking.posts_least@12', 'Posts while cranking, 12 V'], ['cranking.posts_least@24', 'Posts while cranking, 24 V']])
    expect([limit('cranking.speed_least').row_id, limit('cranking.speed_least').name]).to eq(['cranking.speed_least', 'Cranking speed'])
  end

  it 'has a subject, every one, and every subject has limits' do
    subjects = shipped.to_a.map(&:subject)
    expect(subjects.uniq).to match_array(Wattomneum::Limits::Subjects::OF.values)
    expect(limit('drop.contact', 12).subject).to eq('Voltage drops with the circuit working')
    expect(limit('evidence.power_off').subject).to eq('What a reading is worth')
  end

  it 'is read by something: what nothing judges by is no limit' do
    root = File.expand_path('../../../..', __dir__)
    judges = Dir["#{root}/core/{lib,data}/**/*.{rb,yml}", "#{root}/server/{contracts,models,presenters,queries,workers}/**/*.rb"]
    text = judges.reject { |file| file.end_with?('/limits.yml') }.map { |file| File.read(file) }.join
    # The figures of plugs, coils and leads name theirs by their own keys.
    figures = Wattomneum::DataFile.load('ignition_figures').flat_map { |row| %w[least most].map { |end_| "ignition.#{row['key']}_#{end_}" } }
    unread = shipped.to_a.map(&:id).uniq.reject { |id| text.include?(id) || text.match?(/['".]#{id.split('.').last}\b/) }
    expect(unread - figures).to eq([])
  end

  it 'knows what was shipped when a fleet sets it, twice, and back' do
    own = limit('battery.charge_least').as_set(70)
    expect([own.value, own.shipped_value, own.source_kind]).to eq([70, 75, 'fleet'])
    again = own.as_set(65)
    expect([again.value, again.shipped_value, again.shipped_kind]).to eq([65, 75, limit('battery.charge_least').source_kind])
    back = again.as_set(75)
    expect([back, back.shipped_kind]).to eq([limit('battery.charge_least'), nil])
  end
end
