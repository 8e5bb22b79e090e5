# frozen_string_literal: true

require 'socket'

# Strangers on a socket of their own, each as unpleasant as HTTP allows.
RSpec.describe Server::Outside do
  def served(&stranger)
    door = TCPServer.new('127.0.0.1', 0)
    serving = Thread.new { loop { answer(door.accept, stranger) } }
    yield_url = "http://127.0.0.1:#{door.addr[1]}/night"
    [yield_url, -> { [serving.kill, door.close] }]
  end

  def answer(socket, stranger)
    socket.readpartial(4096)
    stranger.call(socket)
    socket.close
  rescue SystemCallError, IOError
    nil # hung up on
  end

  def ask(seconds: 1.0, &stranger)
    url, close = served(&stranger)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    described_class.json(url, { place: 'Ridge Camp' }, seconds: seconds)
  rescue described_class::Silent => e
    [e.message, Process.clock_gettime(Process::CLOCK_MONOTONIC) - began]
  ensure
    close.call
  end

  ok = "HTTP/1.1 200 OK\r\n"
  drip = lambda do |socket, text|
    text.each_char do |letter|
      socket.write(letter)
      IO.select(nil, nil, nil, 0.2)
    end
  end

  it 'hears an answer, whatever words stand in it' do
    body = '{"place": "Höhe", "low_celsius": -3.5}'
    expect(ask { |socket| socket.write("#{ok}Content-Length: #{body.bytesize}\r\n\r\n#{body}") }).to eq('place' => 'Höhe', 'low_celsius' => -3.5)
  end

  { 'a head that drips' => ->(socket) { drip.call(socket, "#{ok}X-Slow: #{'x' * 400}\r\n") },
    'a body that drips' => ->(socket) { drip.call(socket, "#{ok}Content-Length: 500\r\n\r\n#{'{' * 500}") },
    'nothing at all' => ->(_) { IO.select(nil, nil, nil, 10) },
    'interim answers that come one a moment' => ->(socket) { loop { drip.call(socket, "HTTP/1.1 100 Continue\r\n\r\n") } } }.each do |words, stranger|
    it "gives up in its time on #{words}" do
      message, seconds = ask(&stranger)
      expect([message, seconds]).to match([/Timed out|timed out/, be_between(0.8, 6.0)])
    end
  end

  { 'interim answers without end' => ->(socket) { loop { socket.write("HTTP/1.1 100 Continue\r\n\r\n" * 500) } },
    'head lines without end' => lambda { |socket|
      socket.write(ok)
      loop { socket.write("X-More: #{'x' * 200}\r\n" * 50) }
    },
    'one head line without end' => lambda { |socket|
      socket.write("#{ok}X-Long: ")
      loop { socket.write('x' * 10_000) }
    },
    'a body without end' => lambda { |socket|
      socket.write("#{ok}\r\n")
      loop { socket.write('{"a":' * 1_000) }
    } }.each do |words, stranger|
    it "hears only so much of #{words}" do
      message, seconds = ask(seconds: 60, &stranger)
      expect([message, seconds]).to match([/longer than #{Server::Bounds[:outside_bytes]} bytes|answered 100/, be < 10])
    end
  end

  ["HTTP/1.1 500 Oh\r\nContent-Length: 0\r\n\r\n", "HTTP/1.1 302 Found\r\nLocation: http://127.0.0.1:1/\r\nContent-Length: 0\r\n\r\n",
   "\x00\xFF\x00\r\n\r\n", '', 'SSH-2.0-x', "#{ok}Content-Length: 2\r\n\r\n[]", "#{ok}Content-Length: 3\r\n\r\n\xFF\xFE{",
   "#{ok}Content-Length: -5\r\n\r\n{}",
   "#{ok}Transfer-Encoding: chunked\r\n\r\nzz\r\n{}", "#{ok}Content-Type: text/html; charset=nonsense\r\nContent-Length: 2\r\n\r\n<>"].each do |junk|
    it "calls #{junk[0, 60].inspect} silence" do
      expect(ask { |socket| socket.write(junk) }.first).to be_a(String)
    end
  end

  it 'calls nobody at the door, and an address that is none, silence' do
    ['http://127.0.0.1:1/', 'http://no-such-host.invalid/', 'http://[/', 'gopher://127.0.0.1/'].each do |url|
      expect { described_class.json(url, {}, seconds: 2) }.to raise_error(described_class::Silent)
    end
  end
end
