# frozen_string_literal: true

RSpec.describe Server::Policy do
  # role => status of: opening a job, taking a reading, entering a unit, retiring it
  { 'lead' => [201, 201, 201, 200], 'electrician' => [201, 201, 201, 403], 'driver' => [201, 403, 403, 403],
    'reader' => [403, 403, 403, 403] }.each do |role, expected|
    it "lets a #{role} do what the matrix says and no more" do
      unit = a_unit
      other = a_unit
      sign_in_as('lead')
      job = open_job(unit)
      clear_cookies
      sign_in_as(role)
      open_job(unit)
      seen = [status]
      take(job['id'], 'posts_rest', '12.6')
      seen << status
      write(:post, '/api/units', { id: SecureRandom.uuid, **unit_fields })
      seen << status
      write(:post, "/api/units/#{other.id}/retire")
      expect(seen << status).to eq(expected)
      expect(read('/api/today')).to include('lines')
    end
  end

  it 'is printed in the docs as it is' do
    printed = File.read(File.join(Server::ROOT, 'docs/roles.md'))
    described_class::ROLES_BY_ACTION.each do |action, roles|
      row = printed.lines.find { |line| line.include?("`#{action}`") }.to_s
      expect(row.split('|')[2..5].map { |cell| cell.include?('yes') }).to eq(%w[electrician lead driver reader].map { |role|
        roles.include?(role)
      })
    end
  end
end
