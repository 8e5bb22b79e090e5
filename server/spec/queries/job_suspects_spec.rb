# frozen_string_literal: true

# What each fault of a complaint would show: ordered when the job opens, worked out once, and then what the next step goes by.
RSpec.describe Server::Queries::JobSuspects do
  let!(:person) { sign_in_as('electrician') }
  let(:unit) do
    Server::Models::Sheet.bring_in_shipped
    a_unit(system_volt: 24, arrangement: 'series', usual_cranking_current_ampere: 450.0).tap do |unit|
      Server::Models::UnitSheet.fit(unit, Server::Models::SheetVersion.newest_of('fuel_pump'), at: Time.now.utc)
    end
  end

  def open_about(**symptom) = open_job(unit, symptom: { work: 'auxiliary_load', part: 'M2', seen: 'dead', **symptom })
  def record(bench) = Server::Queries::JobRecord.new(Server::Models::Job.with_pk!(bench['id']))

  # By jobs of this unit: other specs leave theirs.
  def ordered
    jobs = Server::Models::Job.where(unit_id: unit.id).select_map(:id)
    Server::DB[:que_jobs].where(job_class: 'Server::Workers::WorkOutPredictions').select_map(:args).select { |_, job_id| jobs.include?(job_id) }
  end

  def tables(key) = Server::Models::PredictionTable.where(key: key).count

  def measure(bench, by, from, to, shown)
    shown = shown.is_a?(String) ? { observation: shown } : { value_text: shown.to_s, unit: 'V' }
    write(:post, "/api/jobs/#{bench['id']}/readings",
          { id: SecureRandom.uuid, probe: { by: by, from: from, to: to, situation: 'key_on' }, conditions: { value_confirmed: 'yes' }, **shown })
  end

  it 'is ordered once for one circuit and complaint, and for nothing that is told otherwise' do
    expect(person.role).to eq('electrician')
    bench = open_about
    expect(ordered.map(&:last)).to eq([bench['id']])
    measure(bench, 'seen', 'M2:1', 'M2:2', 'dead')
    open_about
    expect(ordered.size).to eq(1)
    open_about(situation: 'stopped', seen: 'stays_on')
    open_job(unit, symptom: { work: 'charging' })
    expect(ordered.size).to eq(1)
  end

  it 'advises by belief as soon as it is worked out, and by the order of work until then' do
    bench = measure(measure(open_about, 'seen', 'M2:1', 'M2:2', 'dead'), 'volts', 'BAT:+', 'BAT:-', 24.2)
    expect(bench['next_step']['outcomes']).to eq([])
    key, job_id = ordered.first
    Server::Workers::WorkOutPredictions.run(key, job_id)
    row = Server::Models::PredictionTable.with_pk!(key)
    expect([row.finished?, row.done]).to eq([true, row.total])
    step = read("/api/jobs/#{bench['id']}")['next_step']
    expect([step['kind'], step['why']]).to eq(['measure', 'It tells most for its minutes'])
    expect(step['outcomes'].map { |one| one['when'] }).to contain_exactly('About 0 V', match(/\AAbout 24\.[123] V\z/))
    Server::Workers::WorkOutPredictions.run(key, job_id)
    expect(tables(key)).to eq(1)
  end

  # A silent start is followed from its solenoid; any other start never asks for the table.
  it 'is ordered for a start as soon as it is silent' do
    bench = open_job(unit, symptom: { work: 'starting' })
    cranked = lambda { |seen|
      write(:post, "/api/jobs/#{bench['id']}/readings", { id: SecureRandom.uuid, test_key: 'cranking_behaviour', observation: seen })
    }
    cranked.call('click')
    expect([status, ordered.size]).to eq([201, 0])
    cranked.call('silent')
    expect([status, ordered.size]).to eq([201, 1])
  end

  it 'says how far it is worked out, then who is suspected and what each reading left of them' do
    unit.update(usual_cranking_current_ampere: 480.0)
    bench = measure(open_about, 'seen', 'M2:1', 'M2:2', 'dead')
    key, job_id = ordered.first
    total = Server::Models::PredictionTable.with_pk!(key).total
    Server::Models::PredictionTable.where(key: key).update(done: total / 2)
    expect(read("/api/jobs/#{bench['id']}")['suspects']).to include('progress' => be_within(0.02).of(0.5), 'parts' => [], 'left' => [])
    Server::Workers::WorkOutPredictions.run(key, job_id)
    first = read("/api/jobs/#{bench['id']}")['suspects']
    expect(first).to include('progress' => nil, 'misfit_reading_id' => nil)
    measure(bench, 'volts', 'BAT:+', 'BAT:-', 24.2)
    measure(bench, 'volts', 'M2:1', 'BAT:-', 24.1)
    narrowed = measure(bench, 'volts', 'M2:2', 'BAT:-', 24.1)
    suspects = narrowed['suspects']
    expect(suspects['parts'].size).to be < first['parts'].size
    expect(suspects['parts'].map { |one| one['word'] } - %w[suspected open] - ['strong suspect']).to eq([])
    expect(suspects['left'].map { |one| one['words'] }).to all(match(/\A(Leaves|Still) /))
    predicted = suspects['parts'].first['predicted']
    expect(predicted.map { |one| one['reading_id'] }).to match_array(narrowed['readings'].drop(1).map { |one| one['id'] })
    expect(predicted.last['spoken']).to match(/\A24\.\d+ V\z/)
    write(:post, "/api/readings/#{narrowed['readings'].last['id']}/withdrawal", { reason: 'slipped off the pin' })
    expect(read("/api/jobs/#{bench['id']}")['suspects']['left'].map { |one| one['words'] }).to eq(suspects['left'].map { |one| one['words'] }[0..-2])
  end

  it 'is another one when the circuit is another: what was worked out for the first is thrown out by the worker that comes late' do
    bench = open_about
    key, job_id = ordered.first
    unit.update(usual_cranking_current_ampere: 500.0)
    Server::Workers::WorkOutPredictions.run(key, job_id)
    expect(tables(key)).to eq(0)
    measure(bench, 'seen', 'M2:1', 'M2:2', 'dead')
    expect(ordered.map(&:first).uniq.size).to eq(2)
  end

  it 'leaves the advice to the order of work where its bytes are not of this circuit' do
    unit.update(usual_cranking_current_ampere: 470.0)
    bench = open_about
    key, = ordered.first
    Server::Models::PredictionTable.where(key: key).update(volts: Sequel.blob('short'))
    expect([record(bench).suspects.table, read("/api/jobs/#{bench['id']}")['next_step']['kind']]).to eq([nil, 'measure'])
  end
end
