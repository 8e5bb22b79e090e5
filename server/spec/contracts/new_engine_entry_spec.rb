# frozen_string_literal: true

# What goes with which kind of entry is a table: every line of it is tried.
RSpec.describe Server::Contracts::NewEngineEntry do
  # Something that each field may be.
  def some
    { branch: SecureRandom.uuid, asked: 'key_off', stage: 'stud', spark: true, ohm: '3 M', value: '9 k', length_m: 0.5, words: 'Sleeve', cylinder: 3,
      state: 'wet', figure: 'primary', part: 'lead',
      new_part: true, reversed: false, change: SecureRandom.uuid, dead: [3], order: '1-3-4-2',
      wasted: false, rotation: 'clockwise', first_at: 3.0, seen_first_at: 12.0, seen_mirrored: true, numbering: 'Front first',
      intervals: [90.0, 270.0], towers: [1.0, 3.0], weak: [3.0], needs: [40.0], leads: [45.0], sum: 'dwell', typed: { degrees: '50' } }
  end

  def whole(craft, kind, fields)
    where = craft == 'kill' ? { sheet: SecureRandom.uuid, device: SecureRandom.uuid } : {}
    { id: SecureRandom.uuid, craft: craft, kind: kind, **where, **some.slice(*fields) }
  end

  def errors(input) = described_class.new.call(input).errors.to_h.transform_keys(&:to_s)

  described_class::KINDS.each do |craft, kinds|
    kinds.each do |kind, (needed, more)|
      it "takes a #{kind} of #{craft} with what goes with it, and nothing less or else" do
        expect(errors(whole(craft, kind, needed + more))).to eq({})
        expect(errors(whole(craft, kind, needed))).to eq({})
        needed.each { |name| expect(errors(whole(craft, kind, needed - [name]))).to include(name.to_s => ['is needed here']) }
        other = (some.keys - needed - more).sample(random: Random.new(kind.sum))
        expect(errors(whole(craft, kind, needed).merge(some.slice(other)))).to include(other.to_s => ['does not go with this'])
      end
    end
  end

  it 'knows kinds of its own craft only' do
    expect(errors(whole('plugs', 'lead_off', %i[spark]))).to include('kind' => [/is none of begun, run, plug/])
    expect(errors(whole('tea', 'begun', []))).to include('craft')
  end

  it 'takes no list without end, no cylinder beyond any engine, no hour beyond the clock, no length of a lead that reaches nowhere' do
    { dead: [[1] * 17, 'plugs', 'run'], cylinder: [99, 'plugs', 'plug'], first_at: [13.0, 'cap', 'wired'], length_m: [0.0, 'plugs', 'figure'],
      towers: [[1.0] * 17, 'cap', 'wired'], words: ['x' * 500, 'kill', 'watched'], ohm: ['9' * 40, 'kill', 'branch_ohm'],
      first_at_text: %w[three cap wired] }.each do |name, (value, craft, kind)|
      field = name.to_s.delete_suffix('_text').to_sym
      fields = described_class::KINDS.fetch(craft).fetch(kind).flatten
      expect(errors(whole(craft, kind, fields).merge(field => value)).keys).to include(field.to_s), name.to_s
    end
  end
end
