# frozen_string_literal: true

RSpec.describe Server::Workers::JudgeByNewRules do
  let(:models) { Server::Models }
  let(:unit) { a_unit }
  let(:limit) { 'cranking.posts_least@12' }

  before do
    sign_in_as('lead')
    job = open_job(unit)
    take(job['id'], 'cranking_behaviour', 'cranks')
    take(job['id'], 'cranking_current', 600)
    take(job['id'], 'posts_cranking', '9.8', conditions: { 'value_confirmed' => 'yes', 'battery_temperature_celsius' => 20 })
  end

  def visit = read("/api/units/#{unit.id}/timeline")['entries'].find { |one| one['kind'] == 'visit' }

  def entry
    read("/api/units/#{unit.id}/visit?day=#{visit['day']}&job=#{visit['job_id']}")['readings'].find { |one| one['spoken'] == '9.80 V' }
  end

  def set(value) = write(:put, "/api/limits/#{limit}", { value: value, reason: 'cold hills' })

  it 'brings stored verdicts to a changed limit, and until then says which figure they were judged by' do
    expect(entry).to include('judged_by' => nil)
    before = entry['verdict']
    expect(set(10.2)['judging']).to match([include('why' => 'Posts while cranking, 12 V was changed', 'done' => 0)])
    expect(entry).to include('verdict' => before, 'judged_by' => include('judged by 9.6 V, where 10.2 V holds now'))
    described_class.run(models::Rejudging.get(:id))
    expect(entry).to include('judged_by' => nil)
    expect([entry['verdict'], before]).to eq(%w[act sound]).or eq(%w[act watch])
    expect(read('/api/house-rules')['judging']).to be_empty
  end

  it 'asks for the units that the limit touches only' do
    other = open_job(a_unit(system_volt: 24, arrangement: 'series'))
    set(10.2)
    row = models::Rejudging.first
    expect(row.jobs.select_map(:id)).to include(*models::Job.where(unit_id: unit.id).select_map(:id))
    expect([row.system_volt, row.total, row.jobs.select_map(:id)]).to match([12, row.total_now, satisfy { |ids| !ids.include?(other['id']) }])
  end

  it 'brings the verdicts of a round along as those of a job, and counts it in its progress' do
    before = models::Rejudging.new(system_volt: 12).total_now
    write(:post, "/api/units/#{unit.id}/rounds/start/readings",
          { id: SecureRandom.uuid, test_key: 'posts_cranking', value_text: '9.9',
            conditions: { battery_temperature_celsius: '20', rest_volt: '12.6' } })
    id = models::Reading.first(unit_id: unit.id, job_id: nil).id
    verdict = -> { models::Judgement.newest_of([id])[id].verdict }
    first = verdict.call
    set(10.4)
    expect([models::Rejudging.first.total - before, verdict.call]).to eq([1, first])
    described_class.run(models::Rejudging.get(:id))
    expect([first, verdict.call]).to eq(%w[sound act])
  end

  it 'keeps nothing twice when it runs twice' do
    set(9.7)
    row = models::Rejudging.first
    2.times do
      models::Rejudging.where(id: row.id).update(finished_at: nil)
      described_class.run(row.id)
    end
    again = models::Judgement.where(occasion: 'judged_again').where(reading_id: models::Reading.where(unit_id: unit.id).select(:id))
    expect(again.group_and_count(:reading_id).all.map { |one| one[:count] }).to all(eq(1))
  end

  # Clean joints lose half of what is allowed: where more is allowed, cleaning wins less.
  it 'tells anew what clean joints would win' do
    take_all = { 'posts_rest' => '12.6', 'ground_drop' => '0.6', 'positive_drop' => '0.9' }
    job = models::Job.first(unit_id: unit.id)
    take_all.each { |key, volt| take(job.id, key, volt, conditions: { 'value_confirmed' => 'yes' }) }
    won = -> { models::StartThreshold[unit.id].remedies.find { |one| one['key'] == 'joints' }&.fetch('degrees') }
    before = won.call
    write(:put, '/api/limits/drop.ground_cranking@12', { value: 0.45, reason: 'long frames' })
    models::Rejudging.select_map(:id).each { |id| described_class.run(id) }
    expect([before, won.call]).to match([be_positive, be < before])
  end
end
