# frozen_string_literal: true

require_relative '../../support/winter_league'

# What the forecast is worth, against lists by which yards go and an oracle that knows which units fail in the coming night and nothing else.
# Truth is Practice::Winter: electrochemistry, series and magnet starters, friction of its own; it shares no line with the forecast.
RSpec.describe Wattomneum::ColdStart do
  # Winters of 300 hidden units and 60 mornings: eight of them.
  leagues = nil
  avoided = nil
  before do
    leagues ||= (1..8).map { |seed| WinterLeague.new(seed) }
    avoided ||= leagues.map { |league| [5, 10, 20].to_h { |visits| [visits, league.avoided(visits)] } }
  end

  it 'avoids more no-starts than any list, in every winter and at 5, 10 and 20 visits an evening, and nine tenths of the oracle', :long do
    avoided.each_with_index do |by_visits, winter|
      by_visits.each do |visits, shares|
        rivals = shares.except('forecast', 'oracle of the night')
        expect(shares['forecast']).to be > rivals.values.max, "winter #{winter + 1}, #{visits} visits: #{shares}"
        expect(shares['forecast']).to be >= 0.9 * shares['oracle of the night'], "winter #{winter + 1}, #{visits} visits: #{shares}"
      end
    end
  end

  it 'says what happens: within 5 points and two standard errors in every tenth with 500 cases or more', :long do
    tenths = leagues.flat_map(&:claims).group_by { |claim| [(claim.chance * 10).floor, 9].min }.select { |_, claims| claims.size >= 500 }
    expect(tenths.size).to be >= 3
    tenths.each do |tenth, claims|
      happened = claims.count(&:failed).fdiv(claims.size)
      said = claims.sum(&:chance) / claims.size
      error = Math.sqrt([happened * (1 - happened), 1e-4].max / claims.size)
      expect((said - happened).abs).to be <= 0.05 + (2 * error),
                                       "tenth #{tenth}: said #{said.round(3)}, happened #{happened.round(3)}, #{claims.size}"
    end
  end
end
