# frozen_string_literal: true

# What nobody would send, to every write there is: refused in a sentence, or done; never a crash, a hang or a leak.
RSpec.describe 'Writes as nobody would send them', :committed, :server do
  before { DemoFleet.fresh }

  let(:count) { Extent.of(700, 10_000) }
  let(:most_seconds) { 2.0 }
  let(:most_growth_kilobytes) { 50 * 1024 }
  let(:random) { Random.new(Extent.of(20_261, RSpec.configuration.seed)) }
  let(:spare_ids) { %i[unit job battery reading account].flat_map { |table| Server::DB[table].limit(2).select_map(:id) } }

  def resident_kilobytes = File.read('/proc/self/status')[/VmRSS:\s+(\d+)/, 1].to_i
  # Of a core, that it means the same on a busy machine: what is asked is answered in this process.
  def now = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)

  def signed_in
    write(:post, '/api/sign-in', { login: 'lead@skarrow.example', password: Demo::PASSWORD })
  end

  def send_mutated(one, mutation, ids)
    start = now
    path = mutation.of_path(one.path)
    header 'Content-Type', 'application/json'
    header 'Request-Id', ids.sample(random: random)
    body = mutation.of(one.body.empty? ? { 'x' => 1 } : one.body)
    public_send(one.verb, "#{Requests::HOST}#{path}", JSON.generate(body))
    signed_in if status == 401 && !path.include?('sign')
    { status: status, seconds: now - start, asked: "#{one.verb} #{path} #{JSON.generate(body)[0, 300]}" }
  end

  # Every address that is read, with right ids and odd questions, and the sums with odd figures in each field.
  def odd_reads(mutation)
    unit = Server::Models::Unit.first(number: 'B-14')
    sheet = Server::Models::UnitSheet.current.first
    ids = { '/api/batteries' => Server::Models::Battery.first.id, '/api/units' => unit.id, '/api/jobs' => Server::Models::Job.first.id, '/api/circuits' => sheet.id }
    OpenapiDocument::CONTENT['paths'].select { |_, verbs| verbs.key?('get') }.flat_map do |path, verbs|
      names = [*verbs['parameters'], *verbs.dig('get', 'parameters')].filter_map { |one| one['name'] if one['in'] == 'query' }
      id = ids.find { |start, _| path.start_with?(start) }&.last
      keys = path == '/api/sums/{key}' ? Wattomneum::Sums::Catalogue::ALL : [nil]
      keys.flat_map { |sum| Array.new(Extent.of(3, 40)) { read_once(path, id, sum, names, mutation) } }
    end
  end

  def figure = [random.rand(1..40).to_s, '0', '-1', '1e9', '99999999', '0,0000001', '1e300', '12.6', '100'].sample(random: random)

  def read_once(path, id, sum, names, mutation)
    names = sum.inputs.map { |input| input['key'] } if sum
    query = names.to_h { |name| [name, sum && random.rand < 0.85 ? figure : mutation.text] }
    path = path.sub('{kind}', %w[charge start batteries].sample(random: random))
    mutation.of_path(path.sub(/\{\w+\}/, sum ? sum.key : id.to_s)).then { |asked| "#{asked}?#{URI.encode_www_form(query)}" }
  end

  it 'are known: every write in the OpenAPI document has a right body here' do
    expect(WriteRequests.new.all.map { |one| [one.verb, one.template] }.uniq).to match_array(WriteRequests.described)
  end

  it 'are read as strangely, with the same good order', :seeds do
    replies = Server::DB.transaction(rollback: :always, auto_savepoint: true) do
      signed_in
      odd_reads(Mutation.new(random, spare_ids)).map do |path|
        start = now
        get "#{Requests::HOST}#{path}"
        { status: status, seconds: now - start, asked: path }
      end
    end
    expect(replies.select { |reply| reply[:status] >= 500 }).to be_empty
    # One book at a time in a process: that of a truck with its drawings keeps a core busy for three seconds.
    late = replies.select { |reply| reply[:seconds] > (reply[:asked].include?('.pdf') ? 5 * most_seconds : most_seconds) }
    expect(late).to be_empty
  end

  it 'answer below 500, in time, and leave no memory behind', :seeds do
    replies = Server::DB.transaction(rollback: :always, auto_savepoint: true) do
      signed_in
      mutation = Mutation.new(random, spare_ids)
      writes = WriteRequests.new.all
      ids = Array.new(count) { SecureRandom.uuid }
      sent = Array.new(200) { send_mutated(writes.sample(random: random), mutation, ids) }
      before = resident_kilobytes
      sent += Array.new(count - 200) { |index| send_mutated(writes[index % writes.size], mutation, ids) }
      expect(resident_kilobytes - before).to be < most_growth_kilobytes
      sent
    end
    expect(replies.select { |reply| reply[:status] >= 500 }).to be_empty
    expect(replies.select { |reply| reply[:seconds] > most_seconds }).to be_empty
    expect(replies.map { |reply| reply[:status] }.tally).to include(200, 201, 400, 404, 422)
  end
end
