# frozen_string_literal: true

RSpec.describe Server::Workers::SideBySide do
  it 'counts in several processes what it counts in one' do
    ids = Array.new(7) { |index| "unit #{index}" }
    counts = [1, 2, 3].map { |processes| described_class.count(ids, processes: processes) { |share| share.count { |id| id[/\d/].to_i.odd? } } }
    expect(counts).to eq([3, 3, 3])
  end

  it 'says so where a share came to no end' do
    lost = ->(share) { share.include?('b') ? raise(ArgumentError, 'lost') : 1 }
    silent = proc { expect { described_class.count(%w[a b], processes: 2, &lost) }.to raise_error(RuntimeError, /no end/) }
    expect(&silent).to output(/lost/).to_stderr_from_any_process
  end
end
