# frozen_string_literal: true

# What was typed becomes a number where it is one, and stays the text it is where it is none: the server says what is wrong with that.
RSpec.describe 'What is typed, on its way out' do
  include FrontEndModules::Rules

  def each_as(rule, *texts) = ruled("return given[0].map((text) => web.#{rule}(text))", texts)

  it 'is a number with comma or point, nothing where nothing stands, and a text where it is neither' do
    expect(each_as('numberFrom', '3,5', ' 3.5 ', '-0,02', '+4', '640', '', '  ', '1,200,3', '12 V', '.5', '5.', '1e3', 'x'))
      .to eq([3.5, 3.5, -0.02, 4, 640, nil, nil, '1,200,3', '12 V', '.5', '5.', '1e3', 'x'])
  end

  it 'is minutes, by the clock too' do
    expect(each_as('minutesFrom', '90', '45 min', '20 minutes', '15m', '1h 30', '1 h', '2H5', '1 h 30 min', '', '1:30', '-5', '1.5 h', 'long'))
      .to eq([90, 45, 20, 15, 90, 60, 125, 90, 0, '1:30', '-5', '1.5 h', 'long'])
  end

  # The same words in the letters of four programs.
  it 'is read of a file whatever letters it was written in' do
    files = ["gr\u00fcn".encode('UTF-8'), "gr\u00fcn".encode('Windows-1252'), "\uFEFFgr\u00fcn".encode('UTF-16LE'),
             "\uFEFFgr\u00fcn".encode('UTF-16BE')]
    read = ruled('return Promise.all(given[0].map((bytes) => web.textOf(new File([new Uint8Array(bytes)], "list.csv"))))', files.map do |text|
      text.b.bytes
    end)
    expect(read).to eq(["gr\u00fcn"] * 4)
  end

  it 'is a complaint as the server knows them: by what fails, when and how' do
    told = ->(about) { ruled('return web.intake.symptomFrom({ ...web.intake.EMPTY, ...given[0] })', about) }
    expect(told.call({})).to eq(work: 'starting', seen: 'dead')
    expect(told.call(how: 'comes_and_goes')).to eq(work: 'starting', seen: 'comes_and_goes')
    expect(told.call(about: 'charging', how: 'overcharges', thing: 'K1')).to eq(work: 'charging', seen: 'overcharges')
    expect(told.call(about: 'circuit', thing: 'Fuel pump (left) (M2)', situation: 'key_on', how: 'weak'))
      .to eq(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'weak')
    expect(told.call(about: 'circuit', thing: ' M2 ')).to eq(work: 'auxiliary_load', part: 'M2', situation: nil, seen: 'dead')
    expect(ruled('return web.intake.named({ part: "M2", label: "Fuel pump" })')).to eq('Fuel pump (M2)')
  end
end
