# frozen_string_literal: true

# The application as people start it, and what happens to it.
RSpec.describe 'The whole house' do
  def kills = 30

  def database(house) = house.environment_of(house.web_master).fetch('DATABASE_URL')

  def rows(house, sql)
    Sequel.connect(database(house)) { |db| db.fetch(sql).all }
  end

  def kill(house, what)
    pid = { web_worker: -> { house.web_workers.sample }, web_master: -> { house.web_master }, postmaster: -> { house.postmaster } }.fetch(what).call
    Process.kill('KILL', pid) if pid&.positive?
  rescue SystemCallError, NoMethodError
    nil # it was just being started again
  end

  def answers?(house)
    house.caller.get('/health').code == '200'
  rescue SystemCallError, IOError
    false
  end

  def expect_no_owner_in(house)
    owner_password = File.read(File.join(house.state, 'pg.password'))
    [house.web_master, *house.web_workers, house.queue_worker].each do |pid|
      expect(house.environment_of(pid).values.join(' ')).not_to include(owner_password)
    end
    owner = database(house).sub(%r{//app:[^@]+@}, "//app_owner:#{owner_password}@")
    refused, = Open3.capture2e({ 'DATABASE_URL' => owner, 'OWNER_URL' => nil, 'STATE_DIR' => Dir.mktmpdir, 'PORT' => '1' }, 'bin/start')
    expect(refused).to match(/owns the tables.*Set OWNER_URL/m)
  end

  def expect_one_write_by(house, second)
    one = house.caller.tap { |caller| caller.sign_in('electrician@skarrow.example') }
    other = second.caller.tap { |caller| caller.cookie = one.cookie }
    job_id = rows(house, "select id from job where state = 'open' limit 1").first[:id]
    reading = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6', conditions: { value_confirmed: 'yes' } }
    replies = [one, other].map { |caller| caller.post("/api/jobs/#{job_id}/readings", reading, id: reading[:id]) }
    expect(replies.map(&:code)).to eq(%w[201 201])
    expect(rows(house, "select count(*) as n from reading where id = '#{reading[:id]}'")).to eq([{ n: 1 }])
  end

  def expect_nothing_lost_by(house)
    job_ids = rows(house, "select id from job where state = 'open' order by number").map { |row| row[:id] }
    clients = WritingClients.new(house, job_ids.cycle.first(4)).start
    kinds = %i[web_worker postmaster web_master]
    kills.times do |index|
      kill(house, kinds[index % kinds.size])
      house.wait_until(60) { answers?(house) }
    end
    sent = clients.finish
    kept = rows(house, 'select id, count(*) as n from reading group by id').to_h { |row| [row[:id], row[:n]] }
    expect(sent.map(&:acknowledged)).to all(be(true))
    expect(sent.reject { |one| kept[one.id] == 1 }).to be_empty
  end

  it 'comes up empty with its first lead, keeps its owner from what serves, and leaves nothing behind when it is asked to stop' do
    WholeHouse.run(arguments: ['--empty'], LEAD_EMAIL: 'first@spec.example', LEAD_PASSWORD: 'wet gloves at dawn') do |house|
      expect_no_owner_in(house)
      lead = house.caller
      expect(lead.sign_in('first@spec.example', 'wet gloves at dawn').code).to eq('200')
      served = [house.web_master, *house.web_workers, house.queue_worker]
      expect([house.stop.exitstatus, answers?(house), served.select { |pid| house.running?(pid) }]).to eq([0, false, []]), -> { house.words }
      expect(File.exist?(File.join(house.state, 'pg/postmaster.pid'))).to be(false)
    end
  end

  # One house for all of it: it takes most of a minute to come up.
  it 'keeps its owner from what serves, shares people and writes with a second start, and loses and doubles nothing, whatever is killed', :long do
    WholeHouse.run(MOST_DEATHS: 100) do |house|
      expect_no_owner_in(house)
      WholeHouse.run(DATABASE_URL: database(house)) { |second| expect_one_write_by(house, second) }
      expect_nothing_lost_by(house)
      expect(house.words).to include('PostgreSQL died: it is started again', 'The web server died: it is started again')
      house.wait_until(30) { house.queue_worker }
      expect([house.stop.exitstatus, answers?(house)]).to eq([0, false])
    end
  end

  it 'ends with a word and a failure when something dies again and again', :long do
    WholeHouse.run(MOST_DEATHS: 1) do |house|
      3.times do
        break unless house.alive?

        kill(house, :web_master)
        house.wait_until(60) { !house.alive? || (house.web_master && answers?(house)) }
      end
      expect([house.ended.exitstatus, house.words]).to match([1, include('The web server died more than 1 times')])
    end
  end
end
