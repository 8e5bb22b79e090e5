# frozen_string_literal: true

# The web server as bin/start runs it: several processes, none of which may share a database connection with another.
RSpec.describe 'Several web processes' do
  before { DemoFleet.fresh }

  it 'answers many at once from either process, and says no warning at its start' do
    WebServer.run do |server|
      cookie = server.caller.tap { |one| one.sign_in('electrician@skarrow.example') }.cookie
      unit = Server::Models::Unit.first(number: 'B-14')
      codes = Array.new(6) do
        Thread.new do
          one = server.caller.tap { |mine| mine.cookie = cookie }
          Array.new(15) { one.get("/api/units/#{unit.id}").code }
        end
      end.flat_map(&:value)
      expect(codes.tally).to eq('200' => 90)
      expect(server.words).not_to match(/WARNING|failed with exception/)
    end
  end
end
