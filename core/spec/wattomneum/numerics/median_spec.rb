# frozen_string_literal: true

RSpec.describe Wattomneum::Numerics::Median do
  { [3.0] => 3.0, [1.0, 10.0, 2.0] => 2.0, [3.0, 1.0, 2.0, 10.0] => 2.5, [5, 6] => 5.5 }.each do |values, middle|
    it("finds #{middle} in #{values.join(', ')}") { expect(described_class.of(values)).to eq(middle) }
  end
end
