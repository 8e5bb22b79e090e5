# frozen_string_literal: true

# Every reading straight across a part, against every fault of every other part: does it convict who has done nothing?
RSpec.describe 'Readings straight across a part, with the fault elsewhere' do # rubocop:disable RSpec/DescribeClass
  core = Wattomneum
  complaints = [%w[fuel_pump M2 key_on], %w[heater U3 key_on], %w[cluster P1 key_on], %w[start_24v K1 cranking], %w[start_12v K1 cranking],
                %w[engine_stop Y5 key_on]]
  # A fuse that something else blew: what blew it is asked for before a new one goes in.
  fuses = /\AFL?\d/
  # Two things in a row: volts alone do not tell which of them has the wrong ohms (open point, see docs/suspects.md).
  in_a_row = [%w[cluster B13 P1]]

  def volt(table, index, from, to) = table.volt(index, table.place(from), table.place(to))

  def point(by, from, to, shown, at, situation)
    probe = Wattomneum::Readings::Probe.new(by: by, from: from, to: to, situation: situation)
    shown = by == 'seen' ? { observation: shown } : { value: shown }
    Wattomneum::Readings::PointReading.new(id: "p#{at}", probe: probe, taken_at: at, round: 0, **shown)
  end

  # What would be seen and read with this fault before somebody goes straight across the part.
  def readings(table, index, candidate, situation)
    first = table.scope.consumers.first
    pairs = [table.posts, *table.scope.consumers.map { |one| [one.from, one.to] }, [candidate.from, candidate.to]].uniq
    seen = table.predictions.shares(first)[index].abs < 0.35 ? 'dead' : 'weak'
    [point('seen', first.from, first.to, seen, 0, situation),
     *pairs.each_with_index.map { |(from, to), at| point('volts', from, to, volt(table, index, from, to), at + 1, situation) }]
  end

  # Where it would show more than half as much again as in a sound circuit, and the complaint is there.
  def telling(table)
    table.candidates.all.select(&:unit).product(table.hypotheses.each_index.to_a).select do |candidate, index|
      hypothesis = table.hypotheses[index]
      volt = volt(table, index, candidate.from, candidate.to).abs
      hypothesis.unit && hypothesis.unit != candidate.unit && volt > [0.05, 1.5 * volt(table, 0, candidate.from, candidate.to).abs].max &&
        table.predictions.shares(table.scope.consumers.first)[index].abs < 0.88
    end
  end

  it 'convicts nobody but fuses, whose cause is looked for, and one of two in a row' do
    audited = 0
    complaints.each do |key, part, situation|
      machine = core::Circuits::Machine.new(core::Circuits::Library.fetch(key))
      symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: part, situation: situation, seen: 'dead')
      table = core::Faults::Suspects::Table.about(machine, core::Faults::Suspects::Subject.of(machine, symptom)).work_out
      telling(table).each do |candidate, index|
        kase = core::Faults::Assessment.new(system: machine.sheet.system_volt == 24 ? series_pair : single_battery, readings: [], machine: machine,
                                            points: readings(table, index, candidate, situation), symptom: symptom).paths
        asked = ->(one) { kase.judgement(core::Readings::Probe.new(by: 'volts', from: one.from, to: one.to, situation: situation)) }
        next unless candidate.needs.all? { |need| kase.served?(need) }

        audited += 1
        judgement = asked.call(candidate)
        next unless judgement.act? && judgement.weight != 'hint' && judgement.convicts.include?(candidate.unit.key)

        guilty = table.hypotheses[index]
        expect(candidate.unit.key).to match(fuses), "#{key}: #{guilty.kind} of #{guilty.unit.key} convicts #{candidate.unit.key}" unless
          in_a_row.include?([key, candidate.unit.key, guilty.unit.key])
        expect(guilty.kind).to eq('shorted').or eq('load')
      end
    end
    expect(audited).to be > 40
  end
end
