# frozen_string_literal: true

RSpec.describe Wattomneum::ColdStart::DegreesMeant do
  def asked(celsius, near) = described_class.question(celsius, near_celsius: near)

  # 23 degF = (23 - 32) / 1.8 = -5 degC.
  it 'asks whether 23 was Fahrenheit where -3 is known, and offers -5 first' do
    question = asked(23.0, -3.0)
    expect(question.text).to include('23 degC is far from the -3 degC')
    expect(question.options).to eq([{ label: '23 degF, which is -5 degC', value: -5.0 }, { label: '23 degC, as I typed it', value: nil }])
  end

  # 41 degF = 5 degC, 5 degF = -15 degC.
  it 'asks whatever is nearer as Fahrenheit, though neither is near' do
    expect([asked(41.0, -7.0), asked(5.0, -7.0)].map { |question| question.options.first[:value] }).to eq([5.0, -15.0])
  end

  it 'asks nothing of a night near what is known, of one that is odd either way, and of a cold one where nothing is known' do
    expect([asked(-9.0, -3.0), asked(1.0, -3.0), asked(-40.0, -3.0), asked(-12.0, nil), asked(12.0, nil)]).to all(be_nil)
  end

  it 'asks of a warm night where nothing is known' do
    expect(asked(28.0, nil).text).to include('a warm night')
  end
end
