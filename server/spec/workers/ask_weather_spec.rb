# frozen_string_literal: true

require 'socket'

# A weather service that answers as it is told to, on a socket of its own.
RSpec.describe Server::Workers::AskWeather do
  let(:dawn) { Server::Models::Night.dawns(Time.now.utc).fetch(yard.id) }

  def night = Server::Models::Night.first(yard_id: yard.id, dawn: dawn)

  def served(answer)
    door = TCPServer.new('127.0.0.1', 0)
    serving = Thread.new { loop { serve(door.accept, answer) } }
    yield Server::Weather.new("http://127.0.0.1:#{door.addr[1]}")
  ensure
    serving&.kill
    door&.close
  end

  def serve(socket, answer)
    socket.readpartial(4096)
    socket.write(answer.respond_to?(:call) ? answer.call : answer)
    socket.close
  end

  def ok(body) = "HTTP/1.1 200 OK\r\nContent-Length: #{body.bytesize}\r\nConnection: close\r\n\r\n#{body}"
  def ask(answer) = served(answer) { |weather| described_class.ask(weather) }

  it 'keeps how cold it gets, and how cold it was' do
    yard
    expect(ask(ok({ low_celsius: -8.5, day_before_celsius: -3, measured_celsius: nil }.to_json))).to eq([])
    expect(night).to have_attributes(low_celsius: -8.5, day_before_celsius: -3.0, measured_celsius: nil, source: 'weather')
    ask(ok({ low_celsius: -9.0, day_before_celsius: -3, measured_celsius: -9.4 }.to_json))
    expect(night).to have_attributes(low_celsius: -9.0, measured_celsius: -9.4)
  end

  it 'changes nothing of what somebody typed, but hears what was measured' do
    Server::Models::Night.say(yard, { dawn: dawn, low_celsius: -15.0 })
    ask(ok({ low_celsius: -8.5, measured_celsius: -12.0 }.to_json))
    expect(night).to have_attributes(low_celsius: -15.0, source: 'typed', measured_celsius: -12.0)
  end

  it 'leaves what it said last, with its age, where it does not answer or answers nonsense' do
    yard
    ask(ok({ low_celsius: -8.5 }.to_json))
    said_at = night.said_at
    [ok('no json'), ok('[]'), ok('{}'), ok({ low_celsius: -200 }.to_json), ok({ low_celsius: 'cold' }.to_json),
     ok(%({"low_celsius": -3, "more": "#{'x' * 20_000}"})), "HTTP/1.1 500 Oh\r\nContent-Length: 0\r\n\r\n", '', 'garbage'].each do |answer|
      expect { ask(answer) }.to output(/weather for/).to_stderr
    end
    expect { expect(described_class.ask(Server::Weather.new('http://127.0.0.1:1'))).to include(yard.name) }.to output(/weather for/).to_stderr
    expect(night).to have_attributes(low_celsius: -8.5, said_at: said_at)
  end

  it 'never writes over a low that was typed while it was asked' do
    yard
    weather = Server::Weather.new('http://127.0.0.1:1')
    allow(weather).to receive(:night) do
      Server::Models::Night.say(yard, { dawn: dawn, low_celsius: -15.0 }) # between question and answer
      Server::Weather::Told.new(low_celsius: -2.0, day_before_celsius: 1.0)
    end
    described_class.ask(weather)
    expect(night).to have_attributes(low_celsius: -15.0, source: 'typed')
  end

  it 'asks for the dawn after next too: at noon it is the evening that people look at' do
    yard
    ask(ok({ low_celsius: -8.5 }.to_json))
    expect(Server::Models::Night.where(yard_id: yard.id).select_order_map(:dawn)).to include(dawn, dawn + 1)
  end

  it 'has planned the next asking before this one begins, and brings it forward where it was silent' do
    Server::DB[:que_jobs].delete
    yard
    planned = -> { Server::DB[:que_jobs].where(job_class: described_class.name).select_map(:run_at) }
    stub_const('Server::CONFIG', Server::Config.new(ENV.to_h.merge('WEATHER_URL' => 'http://127.0.0.1:1')))
    allow(described_class).to receive(:ask) do
      expect(planned.call).to match([be_within(60).of(Time.now + described_class::EVERY_SECONDS)])
      raise 'broken of ours'
    end
    asking = described_class.new(args: [])
    expect { asking.run }.to raise_error('broken of ours')
    expect(planned.call.size).to eq(1)
    allow(described_class).to receive(:ask).and_return(['Ridge Camp'])
    asking.run
    expect(planned.call).to match([be_within(30).of(Time.now + described_class::AGAIN_SECONDS)])
  end

  it 'is not planned where no service is named' do
    Server::DB[:que_jobs].delete
    described_class.plan
    expect(Server::DB[:que_jobs].where(job_class: described_class.name).count).to eq(0)
  end
end
