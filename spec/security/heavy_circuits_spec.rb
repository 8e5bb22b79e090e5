# frozen_string_literal: true

# Circuits that nobody could wait for, against the running web server: answered or refused in time, and nobody else is held up.
RSpec.describe 'Heavy circuits' do
  before { DemoFleet.fresh }

  # What is allowed is counted in steps, some two seconds of a core. These are caps against what is counted nowhere, in seconds of a core too, so
  # that they mean the same on a busy machine. Somebody else's request waits for a turn or two of the one that works, not for its end.
  let(:most_seconds) { 12.0 }
  let(:other_requests_most_seconds) { 4.0 }

  # What the server worked meanwhile, for whomever.
  def worked(server)
    before = server.processor_seconds
    [yield, server.processor_seconds - before]
  end

  def store(text)
    sheet = Wattomneum::Circuits::Notation::SheetReader.read(text).sheet
    parent = Server::Models::Sheet.create(key: sheet.key)
    Server::Models::SheetVersion.establish(parent, sheet, by: nil)
  end

  # Somebody else, all the while.
  def beside(server, cookie, done)
    Thread.new do
      other = server.caller.tap { |one| one.cookie = cookie }
      times = []
      times << worked(server) { other.get('/api/units') }.last until done.true?
      times
    end
  end

  def questions(id, pin, wire)
    ['', "/pin?pin=#{pin}", "/wire?number=#{wire}", "/opening?item=#{URI.encode_www_form_component("wire #{wire}")}", '/live?state=key_on',
     '/common-cause?dead=END'].map { |rest| "/api/circuits/#{id}#{rest}" }
  end

  it 'are refused with the figure when they are brought in, or answered, each in time, while others keep their pace' do
    WebServer.run(processes: 1) do |server|
      lead = server.caller.tap { |one| one.sign_in('lead@skarrow.example') }
      done = Concurrent::AtomicBoolean.new(false)
      other = beside(server, lead.cookie, done)
      texts = { mesh: HeavySheets.mesh(40), relays: HeavySheets.relays(150), nested: "a: #{'[' * 40_000}", harness: HeavySheets.harness(1000) }
      replies = texts.transform_values { |text| worked(server) { lead.post('/api/circuits', { content: text }) } }
      done.make_true
      expect(replies.transform_values { |reply, _| reply.code }).to eq(mesh: '422', relays: '422', nested: '422', harness: '201')
      expect(replies[:mesh].first.body).to match(/over_budget.*at most 8000/)
      expect(replies.except(:harness).values.map(&:last).max).to be < most_seconds
      expect(other.value.max).to be < other_requests_most_seconds
    end
  end

  it 'that were stored before the budgets stay readable, and every question about them is answered or refused in time', :seeds do
    ids = [HeavySheets.mesh(40), HeavySheets.splices(1000), HeavySheets.relays(150)].map { |text| store(text).id }
    WebServer.run(processes: 1) do |server|
      reader = server.caller.tap { |one| one.sign_in('reader@skarrow.example') }
      asked = Extent.sample(ids.flat_map { |id| questions(id, 'END:1', 'w1') }, one_in: 3)
      replies = asked.map { |path| [path, *worked(server) { reader.get(path) }] }
      failed = replies.filter_map { |path, reply, seconds| [path, reply.code, reply.body[0, 300], seconds] if reply.code.to_i >= 500 }
      expect(failed).to be_empty, "#{failed}\n#{server.words}"
      expect(replies.map(&:last).max).to be < most_seconds
      table = JSON.parse(reader.get("/api/circuits/#{ids.first}").body)
      expect(table).to include('over_budget' => include('at most 8000'), 'wires' => have_attributes(size: 783))
    end
  end

  it 'that take long for a common cause are worked out in the background, with progress, and then answer', :long do
    version = store(HeavySheets.harness(40))
    allow(Server::Queries::Machines).to receive(:most_steps).and_return(10_000)
    machine = Server::Queries::Machines.of(version)
    causes = Server::Queries::Causes.new(machine, version, {}, by: nil)
    expect(causes.progress.to_h).to include(done: 0, total: machine.causes.total)
    key = Server::Models::CauseTable.get(:key)
    expect(Server::DB[:que_jobs].where(job_class: 'Server::Workers::WorkOutCauses').count).to eq(1)
    Server::Workers::WorkOutCauses.run(key)
    expect(causes.progress).to be_nil
    said = Wattomneum::Circuits::Questions::CommonCause::Said.all(machine.circuit, 'dead' => ['L3x1'], 'works' => %w[L3x0 L3x2])
    expect(machine.causes.explain(said).causes.first.items.map(&:key)).to include('L3x1')
    # What an older program left there is worked out anew, not waited for.
    Server::Models::CauseTable.where(key: key).update(strengths: Sequel.blob('old'))
    machine.recall_causes('old')
    expect(causes.progress.to_h).to include(done: 0)
    expect(Server::DB[:que_jobs].where(job_class: 'Server::Workers::WorkOutCauses').count).to eq(2)
  end
end
