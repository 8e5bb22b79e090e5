# frozen_string_literal: true

RSpec.describe Server::Queries::JobCircuit do
  before { sign_in_as('electrician') }

  def truck(*sheets)
    Server::Models::Sheet.bring_in_shipped
    unit = a_unit(system_volt: 24, arrangement: 'series')
    sheets.each { |key| Server::Models::UnitSheet.fit(unit, Server::Models::SheetVersion.newest_of(key), at: Time.now.utc - 60) }
    unit
  end

  def record(unit, **symptom)
    job = open_job(unit, **(symptom.empty? ? {} : { symptom: symptom }))
    Server::Queries::JobRecord.new(Server::Models::Job.with_pk!(job['id']))
  end

  it 'reads the sheets that its job holds, and the usual ones for what nobody drew' do
    circuit = record(truck('fuel_pump')).circuit
    keys = circuit.drawn.map { |one| one.sheet.key }
    expect(keys).to eq(%w[fuel_pump usual_start usual_charge])
    expect(circuit.drawn.last.overrides).to eq({})
    expect(circuit.drawn.last.drawing).to be_a(Server::Models::SheetDrawing)
  end

  it 'knows which of them a complaint lies on: by its component, or by its loop' do
    starting = record(truck('start_24v', 'fuel_pump'))
    about = ->(one) { one.circuit.drawn.select { |read| one.circuit.about?(read.sheet) }.map { |read| read.sheet.key } }
    expect(about.call(starting)).to eq(%w[start_24v])
    pump = record(truck('start_24v', 'fuel_pump'), work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead')
    expect(about.call(pump)).to eq(%w[fuel_pump])
  end

  it 'goes on with what a unit had otherwise when the job was opened' do
    unit = truck('fuel_pump')
    fitted = Server::Models::UnitSheet.current.where(unit_id: unit.id).eager(:version).first
    wire = fitted.version.to_core.wire('10')
    say_otherwise(fitted, wire, 'length_m', '9')
    held = record(unit)
    say_otherwise(fitted, wire, 'length_m', '11')
    length = ->(one) { one.circuit.drawn.first.sheet.wire('10').length_m }
    expect([length.call(held), length.call(record(a_copy_of(unit)))]).to eq([9.0, 6.5])
    expect(Server::Queries::SheetToRead.by_id(fitted.id).sheet.wire('10').length_m).to eq(11)
  end

  # Another unit with the same sheet, and nothing of its own.
  def a_copy_of(_unit) = truck('fuel_pump')

  it 'finds what a thing of one sheet is on the whole circuit' do
    circuit = record(truck('start_24v', 'fuel_pump')).circuit
    whole = circuit.machine.sheet.parts.to_h { |part| [part.uuid, part.id] }
    pump = circuit.drawn.find { |one| one.sheet.key == 'fuel_pump' }.sheet
    expect(whole).to include(circuit.now(pump.part('S1').uuid))
    expect(whole[circuit.now(pump.part('K11').uuid)]).to eq('K11')
  end

  describe 'of sheets that are together more than is worked out at once' do
    # What the sheets of the complaint alone take, and all of them do not.
    def steps_for(unit, *keys)
      sheets = keys.map { |key| Server::Models::SheetVersion.newest_of(key).to_core }
      system = unit.core_system
      Wattomneum::Effort.of do
        own = sheets + Wattomneum::Circuits::UsualSheets.for(system, drawn: sheets)
        Wattomneum::Circuits::Fitment.new(Wattomneum::Circuits::Assembly.new(own).sheet, system: system).machine.settled.all
      end
    end

    def allow_steps(most)
      allow(Server::Bounds).to receive(:[]).and_call_original
      allow(Server::Bounds).to receive(:[]).with(:circuit_settling_steps).and_return(most)
    end

    # Of its own kind, since what is worked out of others is kept.
    def unit(ampere = 613.7)
      @unit ||= truck('start_24v', 'fuel_pump', 'grounds_truck', 'heater').tap { |one| one.update(usual_cranking_current_ampere: ampere) }
    end

    it 'goes by those of its complaint, says so, and judges by them' do
      allow_steps((steps_for(unit, 'start_24v') + steps_for(unit, 'start_24v', 'fuel_pump', 'grounds_truck', 'heater')) / 2)
      job = open_job(unit)
      expect(job['left_out']).to include('Worked out by', 'all 4 sheets', 'more than is worked out at once')
      bench = take(job['id'], 'ground_drop', '1.9')
      expect(bench['readings'].last['judged']).to include('validity' => 'valid', 'rules_in' => [/starter case and negative post/])
      expect(read("/api/jobs/#{job['id']}")['loops'].map { |loop| loop['key'] }).to include('start')
      expect(read("/api/units/#{unit.id}")['loops']).not_to be_empty
      expect(read("/api/units/#{unit.id}/complaints")['things'].map { |one| one['part'] }).to include('M2')
    end

    it 'says that it is more where even those are, keeps nothing of it, and never takes it for no circuit' do
      job = open_job(unit(615.3))
      judged = -> { Server::DB[:judgement].count + Server::DB[:reading].count }
      before = judged.call
      unit.update(usual_cranking_current_ampere: 616.9)
      allow_steps(50)
      take(job['id'], 'ground_drop', '1.9')
      expect([status, error['code'], error['message']]).to match([422, 'over_budget', /more than is worked out at once/])
      expect(judged.call).to eq(before)
      read("/api/jobs/#{job['id']}")
      expect([status, error['code']]).to eq([422, 'over_budget'])
    end
  end
end
