# frozen_string_literal: true

RSpec.describe Server::FairPlaces do
  subject(:places) { described_class.new(2, waiting_each: 3, wait_seconds: 20, words: 'in line') }

  # Somebody's question, which goes on until it is let go.
  def question(person, started, gate)
    Thread.new do
      places.take(person) do
        started << person
        gate.pop
      end
    rescue Server::Refusals::InLine => e
      e
    end
  end

  def settled(threads)
    Thread.pass until threads.all? { |thread| !thread.alive? || thread.status == 'sleep' }
  end

  it 'leaves a place for others, however many questions one person has, and tells that person at once' do
    started = Queue.new
    gate = Queue.new
    greedy = Array.new(12) { question('one', started, gate).tap { |thread| settled([thread]) } }
    other = question('two', started, gate)
    settled([*greedy, other])
    expect(Array.new(started.size) { started.pop }).to eq(%w[one two])
    refused = greedy.reject(&:alive?).map(&:value)
    expect([refused.size, refused.map(&:message).uniq]).to eq([8, ['in line']])
    5.times { gate << :go }
    expect([*greedy, other].map { |thread| thread.join(10) }).to all(be_a(Thread))
  end

  it 'takes them in turn: whoever has nothing at work goes before somebody who asked earlier and has' do
    started = Queue.new
    gate = Queue.new
    three = described_class.new(3, waiting_each: 3, wait_seconds: 20, words: 'in line')
    allow(self).to receive(:places).and_return(three)
    threads = %w[one one one two].map { |who| question(who, started, gate).tap { |thread| settled([thread]) } }
    expect(Array.new(started.size) { started.pop }).to eq(%w[one one two])
    4.times { gate << :go }
    threads.each { |thread| expect(thread.join(10)).to be_a(Thread) }
    expect(started.pop).to eq('one')
  end

  it 'takes no second place for work inside of work, and gives its place back after an error' do
    one = described_class.new(1, waiting_each: 1, wait_seconds: 0.01, words: 'in line')
    expect(one.take('me') { one.take('me') { :inside } }).to eq(:inside)
    expect { one.take('me') { Integer('broken') } }.to raise_error(ArgumentError)
    expect(one.take('you') { :free }).to eq(:free)
  end

  it 'sends away whoever waited in vain, and forgets that they wait' do
    one = described_class.new(1, waiting_each: 1, wait_seconds: 0.05, words: 'in line')
    gate = Queue.new
    holder = Thread.new { one.take('me') { gate.pop } }
    settled([holder])
    2.times { expect { one.take('you') { nil } }.to raise_error(Server::Refusals::InLine, 'in line') }
    gate << :go
    holder.join
    expect(one.take('you') { :now }).to eq(:now)
  end
end
