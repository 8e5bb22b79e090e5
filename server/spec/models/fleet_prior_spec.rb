# frozen_string_literal: true

# What is learnt of the whole fleet in the night moves every threshold, and can be worked out again with the same result.
RSpec.describe Server::Models::FleetPrior do
  before do
    sign_in_as('electrician')
    models::Morning.dataset.delete
    described_class.dataset.delete
  end

  let(:models) { Server::Models }
  let(:units) { Array.new(6) { a_unit } }

  def today = Date.today
  def threshold(unit) = models::StartThreshold[unit.id]

  # A night a little over where every unit is said to give up, and how all of them did.
  def dawn(days_ago, outcome)
    low = threshold(units.first).celsius + 2.0
    write(:put, "/api/yards/#{yard.id}/night",
          { dawn: (today - days_ago).iso8601, low_celsius: low.round(1), day_before_celsius: (low + 4.0).round(1), confirmed: true })
    write(:post, '/api/mornings', { dawn: (today - days_ago).iso8601, entries: units.map { |unit| { unit_id: unit.id, outcome: outcome } } })
    expect(status).to eq(201), last_response.body
  end

  it 'knows nothing of a fleet without mornings' do
    units
    described_class.work_out
    expect(described_class.first.lately).to eq(Wattomneum::ColdStart::Lately.nothing)
  end

  it 'takes all thresholds up where the last weeks went worse than said, those without a morning too, and the same twice' do
    stranger = a_unit
    6.times { |night| dawn(10 - night, 'failed') }
    described_class.work_out
    learnt = described_class.first.lately
    expect(learnt.celsius).to be > 0.5
    rows = models::StartThreshold.where(unit_id: [*units, stranger].map(&:id)).all
    expect(rows.map(&:late_celsius).uniq).to eq([learnt.celsius])
    expect(rows.map(&:spread_ratio).uniq).to eq([learnt.spread_ratio])
    again = described_class.work_out && described_class.first.lately
    expect(again.to_h).to match(learnt.to_h.transform_values { |value| be_within(1e-9).of(value) })
  end

  it 'keeps what a unit alone had said beside what was said of it, and leaves out units that something was to be done about' do
    6.times { |night| dawn(10 - night, 'failed') }
    described_class.work_out
    dawn(1, 'started')
    morning = models::Morning.first(unit_id: units.first.id, dawn: today - 1)
    evening = models::StartThreshold[units.first.id]
    expect(evening.late_celsius).to be > 0.5
    expect(morning.chance).to be > Wattomneum::Numerics::Normal.below((morning.own_celsius - morning.low_celsius) / Math.sqrt(morning.own_variance))
    models::RemedyPlan.dataset.multi_insert(models::Morning.exclude(outcome: 'started').select_map(%i[unit_id dawn]).map do |unit_id, day|
      { unit_id: unit_id, dawn: day, key: 'charge', person_id: models::Account.first.id }
    end)
    described_class.work_out
    expect(described_class.first.late_celsius).to be < 0.1
  end
end
