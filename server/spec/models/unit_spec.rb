# frozen_string_literal: true

RSpec.describe Server::Models::Unit do
  dawn = Date.new(2026, 12, 10)

  { nil => 1, Date.new(2026, 12, 10) => 1, Date.new(2026, 12, 9) => 1, Date.new(2026, 12, 7) => 3, Date.new(2026, 12, 20) => 1,
    Date.new(2025, 1, 1) => 60 }.each do |since, nights|
    it("counts #{nights} nights until the dawn of 10 Dec for one that ran last on #{since || 'any day'}") do
      expect(described_class.nights_parked(since, dawn)).to eq(nights)
    end
  end

  it 'is held in no list but that of what is held, and watched in that of what is watched' do
    sign_in_as('electrician')
    held, watched, plain = Array.new(3) { a_unit(batteries: false) }
    write(:post, "/api/units/#{held.id}/notices", { id: SecureRandom.uuid, what: 'Cable worn through', severity: 'holds' })
    write(:post, "/api/units/#{watched.id}/notices",
          { id: SecureRandom.uuid, what: 'Slow now and then', severity: 'watch', until: (Date.today + 5).iso8601 })
    listed = ->(state) { read("/api/units?yard=#{yard.id}#{"&state=#{state}" if state}")['units'].map { |one| one['number'] } }
    expect([listed.call('held'), listed.call('watched')]).to eq([[held.number], [watched.number]])
    expect(listed.call(nil)).to match_array([held, watched, plain].map(&:number))
  end
end
