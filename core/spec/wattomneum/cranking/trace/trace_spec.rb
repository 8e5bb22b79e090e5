# frozen_string_literal: true

require 'stringio'

# What is read from a trace, against starts whose bank, speed and cylinders were given.
RSpec.describe 'Wattomneum::Cranking::Trace' do
  trace = Wattomneum::Cranking::Trace
  let(:system) do
    Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: 400.0)
  end

  def start(**given)
    Wattomneum::Practice::CrankTrace.new(rest_volt: 12.6, bank_ohm: 0.005, ampere: 400.0, rpm: 170.0, cylinders: 6, **given)
  end

  def recording(text, **rest) = Wattomneum::Cranking::Trace::Recording.new(StringIO.new(text), system: system, **rest)

  def review(text, cylinders: 6, **rest)
    Wattomneum::Cranking::Trace::Review.new(recording(text), system: system, cylinders: cylinders, **rest)
  end

  describe 'figures of a start' do
    subject(:figures) { review(start.csv).figures }

    # By hand: 12.6 V - 400 A x 5 mohm = 10.6 V; the bite takes 3.4 - 0.22 times as much less than that at once.
    it 'finds rest, settled volts and current, and the resistance between them' do
      expect(figures[:before_volt]).to be_within(0.02).of(12.6)
      expect(figures[:settled_volt]).to be_within(0.03).of(10.6)
      expect(figures[:settled_ampere]).to be_within(6).of(400)
      expect(figures[:bank_ohm]).to be_within(0.0001).of(0.005)
      expect(figures[:second]).to be_within(0.02).of(4.0)
    end

    it 'finds the bite' do
      expect(figures[:peak_ampere]).to be_within(60).of(400 * (1 + 2.4 - 0.22))
      expect(figures[:lowest_volt]).to be_within(0.3).of(12.6 - (0.005 * 400 * 3.18))
    end
  end

  # rpm = 120 f / cylinders of an even-firing four-stroke (handbook of cranking; common practice).
  describe 'speed from ripple' do
    [[170.0, 6], [92.0, 4], [240.0, 8], [61.0, 3], [138.0, 12], [205.0, 1], [120.0, 2]].each do |rpm, cylinders|
      it("reads #{rpm.round} rpm of #{cylinders} cylinders from the current") do
        expect(review(start(rpm: rpm, cylinders: cylinders).csv, cylinders: cylinders).rpm).to be_within(0.015 * rpm).of(rpm)
      end

      it("reads #{rpm.round} rpm of #{cylinders} cylinders from the volts alone") do
        text = start(rpm: rpm, cylinders: cylinders).csv.lines.map { |line| "#{line.split(',').first(2).join(',')}\n" }.join
        expect(review(text, cylinders: cylinders).rpm).to be_within(0.015 * rpm).of(rpm)
      end
    end

    it 'takes no whole turn for one hump where a cylinder pumps nothing' do
      expect(review(start(strengths: [1, 1, 0.1, 1, 1, 1]).csv).rpm).to be_within(3).of(170)
    end

    # What noise repeats by chance is no engine: five locked ones, sixty in the long part, on current and on volts alone.
    it 'sees no engine turn in the noise of one that stands', :seeds do
      seen = Array.new(Extent.of(5, 60)) do |seed|
        text = start(rpm: 0.0, ampere: 700.0, noise_volt: 0.05, seed: seed).csv(hertz: 500.0)
        [text, text.lines.map { |line| "#{line.split(',').first(2).join(',')}\n" }.join].map { |one| review(one).rpm }
      end
      expect(seen.flatten.compact).to eq([])
    end

    it 'says none where nothing ripples evenly' do
      flat = review(start(rpm: 0.0).csv)
      expect([flat.rpm, flat.turned?, flat.remarks.map(&:text)]).to match([nil, false, include(/nothing shows that it turned/)])
    end
  end

  describe 'compression of one cylinder against the others' do
    # By hand: five of 1 and one of 0.7 have a mean of 0.95; 0.7 is 74 % of it, 1 is 105 %.
    it 'names the low one and how low' do
      shares = review(start(strengths: [1, 1, 1, 0.7, 1, 1], second: 5.0).csv).shares
      low = shares.min
      expect(low).to be_within(5).of(73.7)
      expect(shares.reject { |share| share == low }).to all(be_within(5).of(105.3))
    end

    it 'says so as a watch, and clears an even engine' do
      expect(review(start(strengths: [1, 0.75, 1, 1], cylinders: 4, second: 5.0).csv,
                    cylinders: 4).remarks).to include(have_attributes(verdict: 'watch', text: /compression/))
      expect(review(start.csv).remarks).to eq([])
    end
  end

  describe 'judging what it settles at' do
    it 'says the same of it as of a meter that read it' do
      weak = review(start(bank_ohm: 0.011).csv, celsius: 20.0)
      by_meter = judge(reading('posts_cranking', 8.2, conditions: { 'battery_temperature_celsius' => 20.0, 'rest_volt' => 12.6 }), system: system)
      expect(weak.judgements.first.code).to eq(by_meter.code)
      expect([weak.verdict, by_meter.verdict]).to eq(%w[act act])
    end

    it 'hears a solenoid that lets go, and settles nothing of it' do
      chatter = review(start(lets_go: [0.8, 1.6]).csv)
      expect([chatter.start.lets_go, chatter.start.settled_volt, chatter.verdict]).to eq([2, nil, 'act'])
    end

    # Else it would be the last sound start that others are held against.
    it 'calls nothing sound of which nothing settled, whatever else is said of it' do
      jab = start(second: 0.35).rows.map { |second, volt, ampere| [second, -volt, ampere] }
      turned = review("time (s),posts (V),current (A)\n#{jab.map { |row| row.join(',') }.join("\n")}\n")
      expect([turned.remarks.map(&:verdict), turned.verdict]).to match([include('sound', 'unproven'), 'unproven'])
    end

    it 'says that a jab of the key is too short' do
      expect(review(start(second: 0.35).csv).remarks).to include(have_attributes(verdict: 'unproven', text: /too short/))
    end
  end

  describe 'what comes in' do
    let(:good) { start.rows }
    let(:settled) { review(start.csv).figures[:settled_volt] }
    let(:bare) { good.map { |row| row.join(',') }.join("\r\n") }

    def text(rows, head: 'time (s),posts (V),current (A)', between: ',') = "#{head}\n#{rows.map { |row| row.join(between) }.join("\n")}\n"

    it 'reads milliseconds and millivolts where the heading says so, semicolons with decimal commas, units in a line of their own' do
      forms = [text(good.map { |s, v, a| [(s * 1000).round(3), (v * 1000).round(1), a] }, head: 'time (ms),posts_mV,current [A]'),
               text(good.map { |row| row.map { |figure| figure.to_s.tr('.', ',') } }, between: ';', head: 'Time;Volts;Amps'),
               text(good, head: "time\tvolts\tcurrent\ns\tV\tA", between: "\t"), bare, "\uFEFF# logger 4\n#{text(good)}"]
      expect(forms.map { |one| review(one).figures[:settled_volt] }).to all(be_within(0.002).of(settled))
    end

    it 'asks what 12600 were, and goes on by the answer' do
      odd = text(good.map { |s, v, _| [s, v * 1000] }, head: 'time,posts')
      expect { recording(odd) }.to raise_error(trace::OddScaleError) { |error|
        expect(error.question.options).to match([{ label: /\A126\d\d.* millivolts: 12.6\d V\z/, value: 0.001 }])
      }
      found = Wattomneum::Cranking::Trace::Review.new(recording(odd, factor: 0.001), system: system).figures[:settled_volt]
      expect(found).to be_within(0.01).of(settled)
    end

    it 'refuses volts that nothing makes sense of' do
      expect { recording(text(good.map { |s, v, _| [s, v * 7] }, head: 'time,posts')) }.to raise_error(trace::OddScaleError) { |error|
        expect(error.question).to be_nil
      }
    end

    it 'turns reversed leads and a reversed clamp, and says so' do
      turned = recording(text(good.map { |s, v, a| [s, -v, -a] }))
      expect(turned.remarks).to eq(['The leads were the wrong way round: turned', 'The clamp was the wrong way round: turned'])
      expect(Wattomneum::Cranking::Trace::Start.new(turned, system: system).settled_volt).to be_within(0.001).of(settled)
    end

    it 'says where nothing was written, and takes nothing from there' do
      gappy = review(text(good.reject { |second, *| second.between?(2.0, 3.2) }))
      expect(gappy.remarks.map(&:text)).to include('Nothing was written for 1.2 s from 2 s on')
      expect([gappy.rpm, gappy.figures[:settled_volt]]).to match([be_within(4).of(170), be_within(0.05).of(settled)])
    end

    { 'that are no figures' => ["time,posts\n0,12.6\n0.001,twelve\n", /Line 3: "twelve" is no figure/],
      'whose time stands still' => ["time,posts\n0,12.6\n0.001,12.6\n0.001,12.6\n", /Line 4: the time does not go forward/],
      'too few' => ["time,posts\n0,12.6\n0.001,12.6\n", /has 2 rows/],
      'without a time' => ["posts,current\n12.6,0\n", /no column is called time/],
      'with one column' => ["12.6\n12.5\n", /Line 1: a trace has a column of time/],
      'with a line without end' => ["time,posts\n#{'1' * 500}\n", /longer than 400/],
      'none at all' => ['', /no rows/], 'with a short row' => ["time,posts\n0,12.6\n0.001\n", /Line 3: "" is no figure/],
      'of bytes' => ["\xFF\xFE\x00".b, /Line 1/],
      'with not a number' => ["time,posts\n0,NaN\n", /Line 2: "NaN" is no figure/] }.each do |name, (content, message)|
      it("refuses rows #{name}, naming the line") { expect { recording(content) }.to raise_error(Wattomneum::InvalidQuantityError, message) }
    end

    it 'says that a quiet trace holds no start' do
      quiet = text((0..3000).map { |index| [index / 1000.0, 12.6 - (0.1 * (index % 7))] }, head: 'time,posts')
      expect { review(quiet) }.to raise_error(Wattomneum::InvalidQuantityError, /no start/)
    end

    it 'begins within a start, and says that it did' do
      cut = review(text(start(before_second: 0.0).rows.drop(900).map { |s, v, _| [s, v] }, head: 'time,posts'))
      expect([cut.figures[:before_volt], cut.figures[:settled_volt]]).to match([nil, be_within(0.05).of(settled)])
      expect(cut.remarks.map(&:text)).to include(/cranked already/)
    end
  end

  it 'gives up in order on what holds no rows without end' do
    endless = Object.new
    def endless.gets(*) = "# nothing\n"
    read = -> { trace::Recording.new(endless, system: system) }
    expect { Wattomneum::Effort.within(20_000, advice: 'Cut it', &read) }.to raise_error(Wattomneum::OverBudgetError, /Cut it/)
  end

  describe 'a long trace' do
    it 'takes no more room than a short one, and the same is read from it' do
      rows = start(second: 8.0).rows(hertz: 8000.0).map { |row| row.join(',') }.join("\n")
      long = recording("time,posts,current\n#{rows}", most: 4096)
      expect([long.rows, long.size]).to match([80_000, be_between(2048, 4096)])
      figures = Wattomneum::Cranking::Trace::Review.new(long, system: system, cylinders: 6).figures
      expect(figures.slice(:settled_volt, :rpm)).to match(settled_volt: be_within(0.02).of(10.6), rpm: be_within(2).of(170))
    end

    it 'draws no more stretches than are asked for, with what is least and most in each' do
      drawn = recording(start.csv).drawn(300)
      expect(drawn.size).to be <= 300
      expect(drawn.filter_map { |one| one[:low] }.min).to be_within(0.3).of(6.3)
    end
  end

  describe 'against the last sound start' do
    it 'says what changed and what did not' do
      now = review(start(bank_ohm: 0.0065, rpm: 150.0).csv).figures
      before = review(start.csv).figures
      lines = trace::Comparison.new(now, before, system: system, celsius: [2.0, 18.0])
      expect(lines.lines.to_h { |line| [line.label, line.words] })
        .to include('Posts, settled' => /0\.(59|60|61) V less/, 'Current, settled' => 'as then', 'Speed' => /(19|20|21) rpm less/,
                    'Bank with its posts' => /1\.[45]\d? mohm more/)
      expect(lines.caution).to include('2 degC now, 18 degC then')
    end
  end
end
