# frozen_string_literal: true

# A job on the sheets of its unit's circuit.
RSpec.describe Server::Presenters::JobDrawing do
  include Drawn

  def unit_with(*sheets, **facts)
    Server::Models::Sheet.bring_in_shipped
    unit = a_unit(system_volt: 24, arrangement: 'series', usual_cranking_current_ampere: 450.0, **facts)
    sheets.each { |key| Server::Models::UnitSheet.fit(unit, Server::Models::SheetVersion.newest_of(key), at: Time.now.utc) }
    unit
  end

  def pump_job(unit)
    open_job(unit, symptom: { work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead' })['id']
  end

  def measure(job, from, to, volts)
    write(:post, "/api/jobs/#{job}/readings",
          { id: SecureRandom.uuid, probe: { by: 'volts', from: from, to: to, situation: 'key_on', opened: [] }, value_text: volts.to_s, unit: 'V',
            conditions: { value_confirmed: 'yes' } })
  end

  def drawing(job, sheet = nil) = read("/api/jobs/#{job}/drawing#{"?sheet=#{sheet}" if sheet}")

  before { sign_in_as('electrician') }

  it 'begins with the sheet that the complaint lies on, says that it is being drawn, then draws it' do
    Server::Models::SheetDrawing.dataset.delete
    job = pump_job(unit_with('start_24v', 'fuel_pump', 'heater'))
    shown = drawing(job)
    expect(shown.values_at('sheet', 'pictures')).to eq(['fuel_pump', []])
    expect(shown['before']).to be_an(Integer)
    # The pump's tank plug lies on one sheet alone; what its circuit takes from others has sheets of its own.
    expect(shown['sheets'].to_h { |one| one.values_at('key', 'about') }).to include('fuel_pump' => true, 'heater' => false)
    Server::Workers::DrawSheets.all(Drawn::LAYOUTER)
    expect(drawing(job)['pictures'].first['parts'].map { |part| part['part'] }).to include('K11', 'M2')
    drawing(job, 'heater')
    expect(status).to eq(200)
    drawing(job, 'glow')
    expect(status).to eq(404)
  end

  it 'puts what was read at its pins, with its verdict, and what is convicted on its part' do
    job = pump_job(unit_with('fuel_pump'))
    measure(job, 'K11:87', 'X8:a/1', 3.1)
    measure(job, 'F15:2', 'BAT:-', 25.1)
    shown = drawing(job)
    expect(shown['readings'].map { |one| one.values_at('spoken', 'from', 'to', 'at') })
      .to eq([['3.10 V', 'K11:87', 'X8:a/1', %w[K11:87 X8:a/1]], ['25.10 V', 'F15:2', 'BAT:-', ['F15:2']]])
    expect(shown['readings'].first['verdict']).to eq('act')
    wire = Server::Models::SheetVersion.newest_of('fuel_pump').to_core.wire('10')
    fault = shown['suspects'].find { |one| one['word'] == 'at fault' }
    expect([fault['wires'], fault['parts'], fault['label']]).to match([[wire.uuid], [], /Wire 10/])
  end

  it 'says what a component is called on the whole circuit, so that it is measured there, and nothing of what lies elsewhere' do
    unit = unit_with('start_24v', 'fuel_pump')
    job = pump_job(unit)
    bench = measure(job, 'K11:87', 'X8:a/1', 0.02)
    shown = drawing(job)
    table = read("/api/circuits/#{unit.id}")['parts'].map { |part| part['id'] }
    expect(table).to include(*shown['ids'].values)
    expect(shown['ids']).to all(satisfy { |here, there| here != there })
    expect(drawing(job, 'start_24v')['readings']).to eq([])
    expect(bench['readings'].size).to eq(1)
  end

  it 'draws the usual circuit of a unit that has no sheet' do
    job = open_job(a_unit)['id']
    shown = drawing(job)
    expect(shown['sheets'].map { |one| one['key'] }).to include('usual_start')
    Server::Workers::DrawSheets.all(Drawn::LAYOUTER)
    expect(drawing(job, 'usual_start')['pictures'].first['wires']).not_to be_empty
  end

  it 'draws the sheet alone where its sheets do not go together to one circuit, and says so where there is none' do
    job = pump_job(unit_with('fuel_pump'))
    bare = open_job(a_unit)['id']
    allow(Server::Queries::Machines).to receive(:whole).and_raise(Wattomneum::SheetsDisagreeError, 'they do not go together')
    expect(drawing(job).values_at('sheet', 'ids', 'readings', 'suspects')).to eq(['fuel_pump', {}, [], []])
    expect(drawing(bare).values_at('sheet', 'pictures', 'problem')).to match([nil, [], /no circuit/])
  end
end
