# frozen_string_literal: true

require_relative '../../support/winter_league'
require_relative '../../support/other_winter'

# What the forecast is worth in its second winter and in its first, against lists by which yards go and an oracle that knows every coming night
# and leaves no visit unused. Truth is Practice::Winter, and OtherWinter by another hand; neither shares a line with the forecast.
RSpec.describe Wattomneum::ColdStart do
  { 'Practice::Winter' => [WinterLeague::Practised, 3], 'another hand' => [OtherWinter::Unit, 2] }.each do |name, (world, seeds)|
    # Two winters each of 300 hidden units and 60 mornings, so many times.
    describe "in winters of #{name}", :long do
      leagues = nil
      avoided = nil
      before do
        leagues ||= (1..seeds).map { |seed| WinterLeague.new(seed, world: world) }
        avoided ||= [0, 1].to_h { |winter| [winter, [5, 10, 20].to_h { |visits| [visits, mean(leagues, visits, winter)] }] }
      end

      def mean(leagues, visits, winter)
        shares = leagues.map { |league| league.avoided(visits, winter: winter) }
        shares.first.keys.to_h { |key| [key, shares.sum { |one| one[key] } / shares.size] }
      end

      def tenths(claims) = claims.group_by { |claim| [(claim.chance * 10).floor, 9].min }

      def expect_said_to_happen(claims, least:, within: 0.05)
        found = tenths(claims).select { |_, some| some.size >= least }
        expect(found.size).to be >= 3
        found.each do |tenth, some|
          happened = some.count(&:failed).fdiv(some.size)
          said = some.sum(&:chance) / some.size
          # By nights: one is as cold for all units, and as far off what was foretold.
          off = some.group_by(&:night).each_value.map { |night| night.sum(&:chance) - night.count(&:failed) }
          error = Math.sqrt(off.sum { |one| one**2 }) / some.size
          expect((said - happened).abs).to be <= within + (2 * error), "tenth #{tenth}: #{said.round(3)} said, #{happened.round(3)} of #{some.size}"
        end
      end

      it 'avoids more no-starts than any list and than taps alone, at 5, 10 and 20 visits an evening' do
        avoided.each do |winter, by_visits|
          by_visits.each do |visits, shares|
            rivals = shares.except('forecast', 'oracle', 'taps only')
            expect(shares['forecast']).to be > rivals.values.max, "winter #{winter + 1}, #{visits} visits: #{shares}"
            expect(shares['forecast']).to be > shares['taps only'] - 0.02, "winter #{winter + 1}, #{visits} visits: #{shares}"
          end
        end
      end

      # Of units that lose charge and health all winter long, unseen, it says too little yet: docs/cold-start.md.
      it 'says what happens, all winter long and in its first week: within 5 points and two standard errors in every tenth',
         if: world == WinterLeague::Practised do
        claims = avoided && leagues.flat_map(&:claims)
        [0, 1].each do |winter|
          of_winter = claims.select { |claim| claim.winter == winter }
          expect_said_to_happen(of_winter, least: 300)
          expect_said_to_happen(of_winter.select { |claim| claim.week.zero? }, least: 30)
        end
      end
    end
  end
end
