# frozen_string_literal: true

RSpec.describe Wattomneum::Cranking::SpeedJudge do
  def judged(rpm, heat_aid: true)
    system = Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: 400.0,
                                                     heat_aid: heat_aid)
    judge(reading('cranking_speed', rpm), system: system)
  end

  # Common practice: a diesel fires from about 100 rpm with a heat aid, 150 without.
  { 185.0 => 'sound', 101.0 => 'watch', 99.0 => 'watch', 90.0 => 'act', 0.0 => 'act' }.each do |rpm, verdict|
    it("calls #{rpm.round} rpm #{verdict} with a heat aid") { expect(judged(rpm).verdict).to eq(verdict) }
  end

  it 'asks for half as much again without one, and says by which limit' do
    slow = judged(120.0, heat_aid: false)
    expect([slow.verdict, slow.summary]).to eq(['act', 'Only 120 rpm: under 150 rpm a diesel does not fire'])
    expect(slow.limits.map(&:row_id)).to all(include('cranking.speed_least_without_aid'))
  end

  it 'convicts nothing: it says that it does not fire, not what holds it back' do
    expect([judged(70.0).convicts, judged(70.0).weight]).to eq([[], 'support'])
  end
end
