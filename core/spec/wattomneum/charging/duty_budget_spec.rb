# frozen_string_literal: true

RSpec.describe Wattomneum::Charging::DutyBudget do
  def budget(**given)
    described_class.new(rating_ampere: 100.0, idle_share: 0.5, driving_hours: 1.0, idling_hours: 4.0, loads_ampere: 45.0, starts: 10,
                        start_ampere: 700.0, start_second: 5.0, **given)
  end

  # By hand: 100 A hot is 80 A; an hour driving leaves 35 Ah, four idling at 40 A against 45 take 20 Ah; ten starts of 0.97 Ah take 11.18.
  it 'adds up a day: driving gives, idling and starts take' do
    day = budget
    expect([day.driving_ampere_hour, day.idling_ampere_hour]).to eq([35.0, -20.0])
    expect(day.starts_ampere_hour).to be_within(0.01).of(11.18)
    expect(day.balance_ampere_hour).to be_within(0.01).of(3.82)
    expect(day.yearly_ampere_hour).to be_within(3).of(955)
  end

  it 'shows that short trips and long idling empty the batteries, and what rating would not' do
    expect(budget(driving_hours: 0.3).balance_ampere_hour).to be_negative
    expect(budget.least_rating_ampere).to eq(56.25)
  end
end
