# frozen_string_literal: true

# Two units worked by hand (docs/cold-start.md), with straight lines between the points of the chart of demand and the variance as the inputs
# give it. Tables from memory, common practice.
RSpec.describe Wattomneum::ColdStart do
  let(:straight) do
    Class.new do
      def self.ratio(celsius) = Wattomneum::Batteries::Tables.line('engine_demand_percent').clamped(celsius) / 100.0
    end
  end

  units = {
    'twelve' => { test: { rest_volt: 12.55, posts_volt: 10.60, drop_volt: 0.40, celsius: 10.0, batteries_in_series: 1, ampere: 620.0,
                          speed_rpm: 190.0 },
                  low: -15.0, charge: 0.80, speed: 120.14, posts: 8.8835, margins: [1.3275, 1.0967], threshold: -20.86, spread: 1.99,
                  charge_slope: 8.7,
                  total: 3.270, chance: 0.0366, charged: 1.03, heated: 11.98, mended: { 0.8542 => 1.16, 0.8200 => 1.43 },
                  after: { 'failed' => [-19.14, 2.31], 'slow' => [-19.32, 1.92], 'started' => [-21.06, 1.88] } },
    'twenty-four' => { test: { rest_volt: 25.20, posts_volt: 21.20, drop_volt: 0.60, celsius: 8.0, batteries_in_series: 2, ampere: 320.0,
                               speed_rpm: 175.0 },
                       low: -18.0, charge: 0.85, speed: 105.87, posts: 17.3377, margins: [1.1470, 1.0702], threshold: -20.75, spread: 2.00,
                       charge_slope: 8.6, total: 3.271, chance: 0.2007, charged: 0.74, heated: 12.74, mended: { 0.8796 => 0.89, 0.8538 => 1.06 },
                       after: { 'failed' => [-19.04, 1.76], 'slow' => [-20.06, 1.59], 'started' => [-21.53, 1.75] } }
  }

  units.each do |name, worked|
    context "with the #{name} volt unit" do
      let(:inputs) { described_class::Inputs.of_test(Wattomneum::Cranking::CrankTest.new(**worked[:test]), heat_aid: true, control_unit: true) }
      let(:threshold) { described_class::Threshold.new(inputs, charge_ratio: worked[:charge], demand: straight) }
      # The slow band as the loop has it.
      let(:stored) do
        described_class::Evening::Stored.new(celsius: threshold.celsius, variance: threshold.unscaled_variance,
                                             slow_celsius: threshold.slow_celsius / 1.5, degrees_per_charge: threshold.degrees_per_charge,
                                             degrees_per_battery_degree: 0.2)
      end
      # The charge that the worked threshold is counted from is that of the night.
      let(:evening) { described_class::Evening.new(stored, charge: described_class::Evening::Charge.new(ratio: described_class::Inputs.usual_charge, spread: 0.05)) }

      it 'turns and holds its posts at dawn as worked' do
        margins = described_class::Margins.new(inputs, demand: straight)
        expect(margins.turned(worked[:low] + 2.5, worked[:charge], worked[:low] + 1.4))
          .to match([be_within(0.05).of(worked[:speed]), be_within(0.001).of(worked[:posts])])
        expect(margins.both(worked[:low], worked[:charge])).to match(worked[:margins].map { |margin| be_within(0.0002).of(margin) })
      end

      it 'has the worked threshold, band and chance' do
        expect(threshold.limited_by).to eq('speed')
        expect(threshold.celsius).to be_within(0.015).of(worked[:threshold])
        expect(Math.sqrt(threshold.unscaled_variance)).to be_within(0.005).of(worked[:spread])
        expect(threshold.degrees_per_charge).to be_within(0.05).of(worked[:charge_slope])
        expect(evening.spread).to be_within(0.004).of(worked[:total])
        expect(evening.chance(worked[:low])).to be_within(0.001).of(worked[:chance])
      end

      it 'is moved by a morning as worked' do
        worked[:after].each do |outcome, (celsius, spread)|
          evidence = described_class::Evidence.new.with(evening.morning(worked[:low]), outcome)
          mean, variance = evidence.on(threshold.celsius, threshold.unscaled_variance)
          expect([mean, Math.sqrt(variance)]).to match([be_within(0.05).of(celsius), be_within(0.05).of(spread)]), outcome
        end
      end

      # Heat within half a degree: what batteries give beyond the coldest point of their table is anybody's.
      it 'wins the worked degrees by charging, by other batteries and by heat' do
        expect(threshold.degrees_won(described_class::Mended.nothing, charge_ratio: 0.98)).to be_within(0.01).of(worked[:charged])
        worked[:mended].each do |ratio, won|
          expect(threshold.degrees_won(described_class::Mended.new(bank_ratio: ratio))).to be_within(0.1).of(won)
        end
        expect(threshold.degrees_won(described_class::Mended.new(heated_celsius: 25.0))).to be_within(0.6).of(worked[:heated])
      end
    end
  end

  # The sheet of sums and the forecast are one loop, written twice for speed.
  it 'turns as the sum of one morning has it, where both take the same demand' do
    test = Wattomneum::Cranking::CrankTest.new(rest_volt: 25.1, posts_volt: 20.4, drop_volt: 0.9, celsius: 4.0, batteries_in_series: 2,
                                               ampere: 400.0, speed_rpm: 160.0)
    margins = described_class::Margins.new(described_class::Inputs.of_test(test, heat_aid: false, control_unit: false), demand: straight)
    [-25.0, -10.0, 3.0].each do |low|
      dawn = Wattomneum::Cranking::ColdCrank.new(test, battery_celsius: low + 1, engine_celsius: low + 2.5, charge_percent: 82.0)
      expect(margins.turned(low + 2.5, 0.82, low + 1)).to match([be_within(1e-6).of(dawn.speed_rpm), be_within(1e-6).of(dawn.posts_volt)])
    end
  end
end
