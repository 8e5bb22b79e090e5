# frozen_string_literal: true

# Sessions against the running web server, several processes and connections that are kept: each caller's own and nobody else's.
RSpec.describe 'Sessions' do
  before { DemoFleet.fresh }

  let(:missing) do
    ['/api/nowhere', '/api/units/9', "/api/jobs/#{SecureRandom.uuid}", "/api/units/#{SecureRandom.uuid}/circuits", '/api/people/0',
     "/api/circuits/#{SecureRandom.uuid}/pin", '/api/limits/none']
  end

  def who(server, cookie)
    stranger = server.caller.tap { |one| one.cookie = cookie }
    reply = stranger.get('/api/session')
    reply.code == '200' ? JSON.parse(reply.body)['email'] : nil
  ensure
    stranger.close
  end

  it 'are given to nobody but their owner, whatever address is missing' do
    WebServer.run do |server|
      callers = %w[electrician lead driver reader].to_h do |role|
        ["#{role}@skarrow.example", server.caller.tap { |one| one.sign_in("#{role}@skarrow.example") }]
      end
      callers[nil] = server.caller
      given = Array.new(12) { callers.to_a.product(missing.shuffle) }.flatten(1).filter_map do |(email, caller), path|
        cookie = caller.get(path)['set-cookie']
        [email, cookie.split(';').first] if cookie
      end
      expect(given.reject { |email, cookie| who(server, cookie) == email }).to be_empty
    end
  end
end
