# frozen_string_literal: true

RSpec.describe Server::Models::SheetDrawing do
  let(:content) { Wattomneum::Circuits::Library::TEXTS.fetch('battery_ignition') }
  let(:version) { Server::Models::Sheet.bring_in(content) }
  let(:layouter) { instance_double(Server::Layouter, draw: { 'pictures' => [] }) }

  before { described_class.dataset.delete }

  def order = described_class.order(version.content, version.digest)
  def queued = Server::DB[:que_jobs].where(job_class: 'Server::Workers::DrawSheets').count
  def row = described_class[version.digest]
  def draw = Server::Workers::DrawSheets.all(layouter)

  it 'is ordered once however often it is asked for, and drawn once' do
    Server::DB[:que_jobs].delete
    3.times { order }
    expect([queued, described_class.count, row.done?]).to eq([1, 1, false])
    2.times { draw }
    expect([order.drawing, order.took_s]).to match([{ 'pictures' => [] }, be >= 0])
    expect(layouter).to have_received(:draw).once
  end

  it 'is ordered once more where nobody began on it, or began and left' do
    order.update(asked_at: Time.now.utc - 60)
    expect(order.asked_at).to be_within(5).of(Time.now.utc)
    taken = described_class.take
    expect([taken.digest, described_class.take]).to eq([version.digest, nil])
    row.update(begun_at: Time.now.utc - 3_600)
    expect(described_class.take.digest).to eq(version.digest)
  end

  it 'is drawn anew by another program, and by the same one after it failed only when the sheet says something else' do
    allow(layouter).to receive(:draw).and_raise(Server::Layouter::NoDrawingError, 'no room')
    order
    draw
    expect([order.problem, order.done?]).to eq(['no room', true])
    row.update(program: 'an older one', problem: nil, picture: '{"pictures":[]}')
    expect([order.picture, order.problem, order.done?]).to eq([nil, nil, false])
  end

  it 'says of one that no longer can be read that it cannot, and goes on with the others' do
    described_class.order('sheet: x', 'd' * 64)
    order
    draw
    expect([described_class['d' * 64].problem, row.drawing]).to match([/cannot be read/, { 'pictures' => [] }])
  end

  it 'takes the one first that was asked for last' do
    described_class.order('sheet: x', 'd' * 64).update(asked_at: Time.now.utc - 5)
    order
    expect([described_class['d' * 64].before, described_class.take.digest]).to eq([1, version.digest])
  end

  it 'leaves a draft that was typed on since, but no version, however long it waited' do
    described_class.order('sheet: x', 'd' * 64)
    order
    described_class.dataset.update(asked_at: Time.now.utc - 3_600)
    expect([described_class.take.digest, described_class.take]).to eq([version.digest, nil])
    expect(described_class.order('sheet: x', 'd' * 64).asked_at).to be_within(5).of(Time.now.utc)
  end

  it 'draws the others where one cannot be drawn by any program, and says so of that one' do
    described_class.order('sheet: x', 'd' * 64)
    order
    allow(layouter).to receive(:draw).and_raise(NoMethodError, 'undefined method')
    expect { draw }.to output(/drawing #{version.digest}: .*undefined method/m).to_stderr
    expect([row.problem, described_class['d' * 64].done?]).to match([/does not know/, true])
  end

  it 'orders the newest version of every sheet and those on units, and no other old one' do
    # A sheet that no unit of the demo fleet has.
    own = content.sub(/^sheet: .*/, 'sheet: ignition_of_ours')
    old = Server::Models::Sheet.bring_in(own)
    newer = Server::Models::Sheet.bring_in(own.sub(/title: .*/, 'title: Battery ignition, newer'))
    fitted = Server::Models::Sheet.bring_in(Wattomneum::Circuits::Library::TEXTS.fetch('start_12v'))
    Server::Models::UnitSheet.fit(a_unit, fitted, at: Time.now.utc)
    Server::Models::Sheet.bring_in(fitted.content.sub(/title: .*/, 'title: Start, newer'))
    described_class.order_missing
    asked = described_class.select_map(:digest)
    expect([asked.include?(newer.digest), asked.include?(fitted.digest), asked.include?(old.digest)]).to eq([true, true, false])
    expect { described_class.order_missing }.not_to(change { described_class.select_order_map(%i[digest asked_at]) })
  end
end
