# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::Findings do
  code_files = Dir[File.expand_path('../../../lib/wattomneum/**/*.rb', __dir__)].to_h { |path| [path, File.read(path)] }

  it 'makes every sentence from what is said, and knows no other code' do
    expect(described_class.sentence('drop.at_limit', volt: '0.30 V', path: 'a to b', limit: '0.30 V')).to eq('0.30 V, a to b: at the limit of 0.30 V')
    expect { described_class.sentence('drop.at_limit', volt: '0.30 V') }.to raise_error(KeyError)
    expect { described_class.sentence('drop.of_tea') }.to raise_error(Wattomneum::UnknownKeyError)
  end

  # Codes made of two words, as "tester.#{grade}", count for all that begin alike.
  it 'has a sentence for every code that a judge gives, and none that nobody gives' do
    text = code_files.values.join
    given = text.scan(/(?<=['\[ ])[a-z_]+\.[a-z_]+(?=['\] ])/).uniq
    begun = text.scan(/"([a-z_]+\.)\#\{/).flatten.uniq + %w[charge_lamp_key_on. charge_lamp_running.]
    unused = described_class::SENTENCES.keys.reject { |code| given.include?(code) || begun.any? { |start| code.start_with?(start) } }
    expect(unused).to eq([])
  end

  it 'is where every judgement has its words from: none is made without a code' do
    made = code_files.reject { |path, _| path.end_with?('evidence/judgement.rb') }.transform_values { |text| text.scan(/Judgement\.new\([^)]*\)/m) }
    expect(made.select { |_, calls| calls.any? { |call| !call.include?('code') && !call.include?('**') } }.keys).to eq([])
  end
end
