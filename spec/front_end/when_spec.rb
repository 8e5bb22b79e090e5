# frozen_string_literal: true

# By the calendar: New Zealand is thirteen hours ahead in summer; Berlin puts its clocks back in the night to 25 October 2026 (tz database).
RSpec.describe 'Times, by the clock of the yard' do
  include FrontEndModules::Rules

  def spoken(rule, zone, now, *times)
    ruled("return given[0].map((time) => web.when.#{rule}(time, given[1], new Date(given[2])))", times, zone, now)
  end

  it 'are the hour today, the day within the year and the year before that' do
    expect(spoken('spokenTime', 'UTC', '2026-12-01T20:00:00Z', '2026-12-01T05:40:00Z', '2026-11-30T23:59:00Z', '2026-02-05T04:00:00Z',
                  '2026-02-04T04:00:00Z'))
      .to eq(['05:40', '30 Nov 23:59', '5 Feb 04:00', '4 Feb 2026'])
  end

  it 'are of the yard, wherever the reader sits: its day may be another' do
    expect(spoken('spokenTime', 'Pacific/Auckland', '2026-12-01T12:00:00Z', '2026-12-01T10:30:00Z',
                  '2026-12-01T11:30:00Z')).to eq(['1 Dec 23:30', '00:30'])
    expect(spoken('spokenAge', 'Pacific/Auckland', '2026-12-01T12:00:00Z', '2026-12-01T11:30:00Z', '2026-12-01T10:30:00Z', '2026-11-20T10:30:00Z'))
      .to eq(['today', '1 day', '12 days'])
    expect(spoken('spokenAge', 'America/Denver', '2026-12-01T12:00:00Z', '2026-12-01T10:30:00Z')).to eq(['today'])
  end

  it 'count days of the calendar where a day has 25 hours' do
    expect(spoken('spokenAge', 'Europe/Berlin', '2026-10-25T22:30:00Z', '2026-10-24T22:30:00Z', '2026-10-24T21:30:00Z')).to eq(['today', '1 day'])
  end

  it 'are of what has not come yet said as of today' do
    expect(spoken('spokenAge', 'UTC', '2026-12-01T12:00:00Z', '2026-12-02T12:00:00Z')).to eq(['today'])
  end

  it 'that are days are the same everywhere' do
    expect(ruled('return [web.when.spokenDate("2026-03-01"), web.when.spokenDay("2026-03-01T00:30:00Z", "America/Denver")]')).to eq(['1 Mar 2026',
                                                                                                                                     '28 Feb 2026'])
  end
end
