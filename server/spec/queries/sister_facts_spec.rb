# frozen_string_literal: true

# What a new unit takes over from its sisters: facts and sheets.
RSpec.describe Server::Queries::SisterFacts do
  before do
    Server::Models::Sheet.bring_in_shipped
    sign_in_as('lead')
  end

  let(:model) { SecureRandom.hex(3) }

  def sister(**changes) = a_unit(make: 'Ferrow', model: model, batteries: false, **changes)
  def version(key) = Server::Models::SheetVersion.newest_of(key)

  def with_sheets(*keys)
    sister.tap { |unit| keys.each { |key| Server::Models::UnitSheet.fit(unit, version(key), at: Time.now.utc - 60) } }
  end

  it 'says what most of them are, not what one of them is' do
    3.times { sister(usual_cranking_current_ampere: 640.0) }
    sister(usual_cranking_current_ampere: 900.0)
    sister(usual_cranking_current_ampere: 900.0, retired_at: Time.now.utc)
    found = read("/api/sisters?make=ferrow&model=#{model.upcase}")
    expect([found['total'], found['like'], found['facts']['usual_cranking_current_ampere']]).to eq([4, 3, 640.0])
  end

  it 'knows nothing of a class that nobody has, and asks for both names' do
    expect(read('/api/sisters?make=Nobody&model=1')).to eq('total' => 0, 'like' => 0, 'facts' => nil, 'sheets' => [])
    write(:get, '/api/sisters?make=Ferrow', nil)
    expect(status).to eq(422)
  end

  it 'fits the sheets that more than half of them have, once' do
    2.times { with_sheets('start_12v', 'charge_12v') }
    with_sheets('start_12v', 'glow')
    unit = sister
    list = write(:post, "/api/units/#{unit.id}/circuits/as-sisters", {})
    fitted = Server::Models::UnitSheet.current.where(unit_id: unit.id).select_map(:version_id)
    expect([status, fitted]).to match([201, contain_exactly(version('start_12v').id, version('charge_12v').id)])
    expect(list).not_to be_empty
    write(:post, "/api/units/#{unit.id}/circuits/as-sisters", {})
    expect([status, last_response.body]).to match([422, include('no sheet that it lacks')])
  end

  it 'tells a unit what it lacks, as its one sister has it, and nothing once it was fitted' do
    with_sheets('start_12v')
    unit = sister
    asked = -> { read("/api/sisters?make=ferrow&model=#{model}&unit=#{unit.id}").values_at('total', 'sheets') }
    expect(asked.call).to match([1, [include('version_id' => version('start_12v').id)]])
    write(:post, "/api/units/#{unit.id}/circuits/as-sisters", {})
    expect([status, asked.call]).to eq([201, [1, []]])
  end

  it 'takes no place of a sheet that the unit has in another version, and none of another voltage' do
    2.times { with_sheets('start_12v') }
    unit = sister(system_volt: 24, arrangement: 'series')
    write(:post, "/api/units/#{unit.id}/circuits/as-sisters", {})
    expect([status, Server::Models::UnitSheet.where(unit_id: unit.id).count]).to eq([422, 0])
  end
end
