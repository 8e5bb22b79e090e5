# frozen_string_literal: true

require 'open3'
require 'stringio'
require 'tmpdir'

# A start worked out by ngspice (Debian package), which shares no line with core: a bank behind its resistance, cables, and a starter that
# takes a bite and then what each compression asks for. What is read from it is held against what the netlist says.
RSpec.describe Wattomneum::Cranking::Trace::Review do
  # I = 400 A, humps of a fifth of it `hertz` times a second, a bite of 900 A that is gone with a time constant of 50 ms, from 1 s to 5 s.
  def deck(rest_volt, bank_ohm, hertz, path)
    ['* a start', "V1 emf 0 #{rest_volt}", "R1 emf post #{bank_ohm}", 'R2 post stud 0.0005',
     "B1 stud 0 I = (time > 1 && time < 5) ? 400 - 80*cos(6.283185307*#{hertz}*(time-1)) + 900*exp(-(time-1)/0.05) : 0", '.control',
     'tran 1m 6 0 1m', 'set wr_singlescale', 'set wr_vecnames', "wrdata #{path} v(post) i(V1)", 'quit', '.endc', '.end'].join("\n")
  end

  # Its table: time, volts at the posts, current of the source, which ngspice counts the other way round.
  def by_ngspice(rest_volt: 12.6, bank_ohm: 0.005, hertz: 8.5)
    Dir.mktmpdir do |folder|
      path = File.join(folder, 'start.data')
      output, = Open3.capture2e('ngspice', '-b', stdin_data: "#{deck(rest_volt, bank_ohm, hertz, path)}\n")
      raise "ngspice failed: #{output}" unless File.exist?(path)

      rows = File.readlines(path).drop(1).map { |line| line.split.first(3).join(',') }
      "time (s),posts (V),current (A)\n#{rows.join("\n")}\n"
    end
  end

  def review(text, volt: 12, cylinders: 6)
    bank = volt == 24 ? { arrangement: 'series', battery_count: 2 } : { arrangement: 'single', battery_count: 1 }
    system = Wattomneum::Units::ElectricalSystem.new(system_volt: volt, usual_cranking_current_ampere: 400.0, **bank)
    recording = Wattomneum::Cranking::Trace::Recording.new(StringIO.new(text), system: system)
    described_class.new(recording, system: system, cylinders: cylinders)
  end

  # By hand: 12.6 - 400 x 0.005 = 10.6 V; 8.5 humps a second of six cylinders are 170 rpm.
  it 'finds rest, settled volts and current, resistance and speed, and turns the current that is counted the other way round' do
    found = review(by_ngspice)
    expect(found.figures).to include(before_volt: be_within(0.001).of(12.6), settled_volt: be_within(0.01).of(10.6),
                                     settled_ampere: be_within(2).of(400), bank_ohm: be_within(0.00005).of(0.005),
                                     rpm: be_within(0.5).of(170), second: be_within(0.01).of(4.0))
    expect(found.remarks.map(&:text)).to eq(['The clamp was the wrong way round: turned'])
  end

  # By hand: in the bite 400 - 80 + 900 A flow, 12.6 - 1220 x 0.005 = 6.5 V.
  it 'finds the bite' do
    expect(review(by_ngspice).figures).to include(peak_ampere: be_within(25).of(1220), lowest_volt: be_within(0.13).of(6.5))
  end

  it 'calls every hump alike where the netlist makes them so' do
    expect(review(by_ngspice).shares).to all(be_within(2).of(100))
  end

  # 25.2 - 400 x 0.009 = 21.6 V; 6 humps a second of four cylinders are 180 rpm.
  it 'reads another bank and another engine as well' do
    found = review(by_ngspice(rest_volt: 25.2, bank_ohm: 0.009, hertz: 6.0), volt: 24, cylinders: 4)
    expect(found.figures).to include(settled_volt: be_within(0.02).of(21.6), bank_ohm: be_within(0.0001).of(0.009), rpm: be_within(0.5).of(180))
  end
end
