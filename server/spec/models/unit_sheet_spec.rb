# frozen_string_literal: true

RSpec.describe Server::Models::UnitSheet do
  let(:text) { Wattomneum::Circuits::Library::TEXTS.fetch('genset') }
  let(:unit) { a_unit(arrangement: 'single', battery_count: 1, batteries: false) }
  let(:first) { Server::Models::Sheet.bring_in(text) }
  let(:second) { Server::Models::Sheet.bring_in(text.sub('length_m: 1.2', 'length_m: 1.4')) }
  let(:start) { Time.utc(2026, 11, 1) }

  def said = { why: 'measured', by: sign_in_as('lead') }

  it 'stands from one time on, until another version takes its place' do
    described_class.fit(unit, first, at: start)
    described_class.fit(unit, second, at: start + 3600)
    rows = described_class.where(unit_id: unit.id).order(:during).all
    expect(rows.map { |row| [row.version_id, row.during.begin, row.during.end] })
      .to eq([[first.id, start, start + 3600], [second.id, start + 3600, nil]])
  end

  it 'changes nothing when the same version is fitted again' do
    once = described_class.fit(unit, first, at: start)
    expect([described_class.fit(unit, first, at: start + 60).id, described_class.where(unit_id: unit.id).count]).to eq([once.id, 1])
  end

  it 'lets a sheet stand once at a time on a unit: the database holds to it' do
    described_class.fit(unit, first, at: start)
    range = Sequel::Postgres::PGRange.new(start + 60, nil, exclude_end: true, db_type: 'tstzrange')
    expect { described_class.create(unit_id: unit.id, sheet_id: first.sheet_id, version_id: first.id, during: range) }
      .to raise_error(Sequel::Postgres::ExclusionConstraintViolation)
  end

  it 'drops overrides of items that the new version has not' do
    fitted = described_class.fit(unit, first, at: start)
    fitted.override({ first.to_core.wire('28').uuid => { 'length_m' => 3.0 }, first.to_core.wire('1').uuid => { 'length_m' => 2.0 } }, **said)
    without = Server::Models::Sheet.bring_in(text.lines.reject { |line| line.include?('number: "28"') }.join)
    kept = described_class.fit(unit, without, at: start + 60).overrides.to_h
    expect(kept.keys).to eq([first.to_core.wire('1').uuid])
  end

  it 'keeps versions apart by what they say, and the same text as the same version' do
    expect([first.n, second.n, Server::Models::Sheet.bring_in(text).id]).to eq([1, 2, first.id])
  end

  it 'keeps every change on the audit trail' do
    fitted = described_class.fit(unit, first, at: start)
    fitted.override({ first.to_core.wire('1').uuid => { 'length_m' => 2.0 } }, **said)
    entry = Server::DB[:audit].where(table_name: 'unit_sheet', row_id: fitted.id, action: 'update').first
    expect([entry[:before]['overrides'], entry[:after]['overrides'].values]).to eq([{}, [{ 'length_m' => 2.0 }]])
  end
end
