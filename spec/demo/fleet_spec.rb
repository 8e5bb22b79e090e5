# frozen_string_literal: true

# The demo fleet: seeded, reproducible, physically consistent, and every unit with a history that core would judge the same today.
RSpec.describe 'The demo fleet' do
  def readings = Server::Models::Reading.order(:id).select_map(%i[id test_key position value observation taken_at])

  before { DemoFleet.fresh }

  it 'is the same each time it is laid on the same day' do
    first = readings
    DemoFleet.fresh
    expect([readings.size, readings == first]).to eq([first.size, true])
  end

  it 'holds nothing later than the last twenty to eight in the morning, so nothing that is yet to come' do
    today = Time.now.utc
    morning = Time.utc(today.year, today.month, today.day, 7, 40)
    morning -= 86_400 if morning > today
    [[Server::Models::Reading, :taken_at], [Server::Models::JobEvent, :at], [Server::Models::Repair, :made_at]].each do |rows, time|
      expect(rows.max(time)).to be <= morning
    end
  end

  it 'has about 60 units of some ten classes in four yards, each with batteries tested through at least a winter' do
    expect([Server::Models::Unit.count, Server::Models::UnitClass.count, Server::Models::Yard.count]).to match([be_between(55, 70), be >= 8, 4])
    Server::Models::Unit.exclude(arrangement: 'none').all.each do |unit|
      tests = Server::Models::Reading.where(unit_id: unit.id, test_key: 'battery_test').order(:taken_at).all
      positions = unit.core_system.positions.size
      expect([unit.number, tests.size]).to match([unit.number, be >= 3 * positions])
      expect(tests.last.taken_at - tests.first.taken_at).to be > 250 * 86_400
    end
  end

  it 'has two winters of mornings with what was forecast then, some of which failed, and spares that want charging' do
    mornings = Server::Models::Morning
    expect([mornings.min(:dawn).year, mornings.max(:dawn)]).to match([Date.today.year - 1, be >= Date.today - 2])
    expect([mornings.where(chance: nil).count, mornings.where(outcome: 'failed').count]).to match([0, be >= 30])
    shelf = Server::Presenters::Shelf.call(Server::Queries::Shelf.new, now: Time.now.utc, limits: Server::Queries::FleetRules.new.limits)
    expect(shelf[:batteries].map { |spare| spare[:wants_charge] }.tally).to match(true => be >= 1, false => be >= 3)
    expect(shelf[:pairs]).not_to be_empty
  end

  it 'kept beside readings and mornings what working them out anew would give' do
    rows = -> { Server::Models::BatteryState.order(:battery_id).map(&:values) }
    before = rows.call
    Server::Models::BatteryState.work_out_all
    expect(rows.call.select { |row| row[:tested_at] || row[:rest_at] }).to eq(before.select { |row| row[:tested_at] || row[:rest_at] })
  end

  it 'has open, parked and closed jobs, temporary repairs, and a closed job for every story that was mended' do
    states = Server::Models::Job.group_and_count(:state).as_hash(:state, :count)
    expect(states).to match('open' => be >= 3, 'parked' => be >= 1, 'closed' => be >= 6)
    expect(Server::Models::Repair.still_temporary.count).to be >= 2
  end

  it 'closed no job that its own gate would not close' do
    Server::Models::Job.where(state: 'closed').all.each do |job|
      expect([job.number, job.assessment.missing_to_close]).to eq([job.number, []])
    end
  end

  # Posts at rest minus posts cranking, over the current, is a resistance that a bank can have.
  it 'has figures that belong together: sag over current is a bank of 1 to 30 mohm' do
    Server::Models::Job.all.each do |job|
      read = ->(key) { Server::Models::Reading.where(job_id: job.id, test_key: key).order(:taken_at).get(:value) }
      rest, cranking, ampere = %w[posts_rest posts_cranking cranking_current].map { |key| read.call(key) }
      next if ampere.to_f < 100 || rest.nil? || cranking.nil?

      expect((rest - cranking) / ampere).to be_between(0.001, 0.03), job.number.to_s
    end
  end

  it 'gives the larger units circuit sheets of their voltage, the loops drawn from them' do
    fitted = Server::Models::UnitSheet.current.eager(:unit, :version).all
    expect(fitted.map { |one| [one.unit.system_volt, one.version.system_volt].uniq.size }.uniq).to eq([1])
    expect(fitted.map(&:unit_id).uniq.size).to be >= 10
  end

  it 'has its board as it would be worked out anew' do
    rows = -> { Server::Models::UnitStanding.order(:unit_id).map { |row| row.values.except(:worked_out_at) } }
    laid = rows.call
    Server::Models::UnitStanding.work_out(Server::Models::Unit.select_map(:id))
    expect(laid.count { |row| row[:battery_percent] }).to be > 50
    expect(rows.call).to eq(laid)
  end
end
