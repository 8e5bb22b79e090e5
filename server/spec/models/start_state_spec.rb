# frozen_string_literal: true

RSpec.describe Server::Models::StartState do
  before do
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('electrician')
  end

  let(:models) { Server::Models }
  let(:unit) { a_unit }

  def take(test_key, text, kind: 'start', conditions: {}, **rest)
    id = SecureRandom.uuid
    write(:post, "/api/units/#{unit.id}/rounds/#{kind}/readings", { id: id, test_key: test_key, value_text: text, conditions: conditions, **rest })
    expect(status).to eq(201), last_response.body
    id
  end

  def cranked
    take('posts_rest', '12.6')
    take('posts_cranking', '10.2', conditions: { engine_meanwhile: 'cranks', battery_temperature_celsius: '4' })
  end

  def kept = described_class[unit.id].values
  def charge_after_ten_nights = models::StartThreshold[unit.id].charge(nights_parked: 10).ratio

  it 'keeps the crank test that holds, as it would be worked out anew, and lets go of one that was withdrawn' do
    id = cranked
    expect(kept).to include(rest_volt: 12.6, posts_volt: 10.2, celsius: 4.0, drop_volt: nil)
    expect(described_class.work_out(Server::Queries::StartInputs.of(unit)).values).to eq(kept)
    write(:post, "/api/units/#{unit.id}/rounds/start/readings/#{id}/withdrawal", { reason: 'other unit' })
    expect([status, kept]).to match([200, include(cranked_at: nil, posts_volt: nil, rest_volt: nil)])
  end

  it 'lets go of it where another battery makes another bank' do
    cranked
    write(:post, "/api/units/#{unit.id}/fittings/A/take-off", {})
    expect([status, kept]).to match([200, include(cranked_at: nil)])
  end

  it 'keeps a crank test that was read before the start was mended, moved by the mend, and asks for another one' do
    cranked
    by_test = models::StartThreshold[unit.id]
    job = open_job(unit_id: unit.id)
    write(:post, "/api/jobs/#{job['id']}/repairs", repair_fields)
    expect([status, kept]).to match([201, include(posts_volt: 10.2, mended_since: true)])
    mended = models::StartThreshold[unit.id]
    expect([mended.reading_celsius, mended.tested]).to eq([by_test.reading_celsius, false])
    expect(mended.read_celsius).to be < by_test.read_celsius
    expect(read("/api/units/#{unit.id}/start")['forecast']).to include('tested' => false, 'read_at' => a_kind_of(String))
    # Cranked once more on the same day: that test is as it is now.
    cranked
    expect([kept[:mended_since], models::StartThreshold[unit.id].tested]).to eq([false, true])
    expect(models::StartThreshold[unit.id].read_celsius).to be_within(1e-9).of(by_test.read_celsius)
  end

  it 'counts nights parked by what it drew asleep, once that was read of a unit that slept' do
    cranked
    usual = charge_after_ten_nights
    take('draw_asleep', '120 mA', kind: 'asleep', conditions: { asleep_waited: 'no' })
    expect([kept[:asleep_ampere], charge_after_ten_nights]).to eq([nil, usual])
    take('draw_asleep', '120 mA', kind: 'asleep', conditions: { asleep_waited: 'yes' })
    # Three times the usual 40 mA: three times the charge is gone.
    expect(0.89 - charge_after_ten_nights).to be_within(1e-9).of(3 * (0.89 - usual))
  end

  it 'says how many nights it may stand, and by which draw' do
    cranked
    dawn = models::Night.dawns(Time.now.utc).fetch(unit.yard_id)
    models::Night.say(unit.yard, { dawn: dawn, low_celsius: models::StartThreshold[unit.id].celsius + 3.0, confirmed: true })
    before = read("/api/units/#{unit.id}/start")['forecast']
    take('draw_asleep', '400 mA', kind: 'asleep', conditions: { asleep_waited: 'yes' })
    after = read("/api/units/#{unit.id}/start")['forecast']
    nights = [before, after].map { |forecast| forecast['stands'].to_s[/(\d+) nights?/, 1].to_i }
    expect(nights).to match([be > nights.last, be_positive])
    expect(after['stands']).to end_with('by the 400 mA that it drew asleep')
  end

  it 'is worked out for many at once as for each by itself' do
    cranked
    others = Array.new(3) { a_unit }
    before = models::StartThreshold.where(unit_id: [unit, *others].map(&:id)).order(:unit_id).map { |row| row.values.except(:worked_out_at) }
    models::StartThreshold.where(unit_id: [unit, *others].map(&:id)).delete
    expect(models::StartThreshold.work_out_each([unit, *others].map(&:id))).to eq(4)
    after = models::StartThreshold.where(unit_id: [unit, *others].map(&:id)).order(:unit_id).map { |row| row.values.except(:worked_out_at) }
    expect(after).to eq(before)
  end
end
