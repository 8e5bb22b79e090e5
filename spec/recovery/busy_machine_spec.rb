# frozen_string_literal: true

require 'open3'

# A verdict never depends on how busy the machine is: the same questions, asked of processes that have worked out nothing yet, once where nothing
# else runs and once beside four processes that want every core.
RSpec.describe 'A busy machine' do
  def told
    out, error, status = Open3.capture3('bundle', 'exec', 'ruby', File.join(__dir__, '../support/told_by_a_fresh_process.rb'))
    expect([status.success?, error]).to eq([true, ''])
    out
  end

  def parts(text) = JSON.parse(text).transform_values(&:size)

  it 'tells the same of jobs, stops and drafts, and stores the same judgements, to the byte', :long do
    DemoFleet.fresh
    quiet = told
    busy = BusyMachine.while_busy { told }
    expect(parts(quiet)).to match('benches' => be > 10, 'stops' => be > 20, 'draft' => be > 10, 'stored' => be >= 3)
    expect(busy).to eq(quiet)
  end

  # Everything that is judged while the demo fleet is laid, by unit and time.
  def judged(house)
    Sequel.connect(house.environment_of(house.web_master).fetch('DATABASE_URL')) do |db|
      db.fetch(<<~SQL).all
        select unit.number, reading.taken_at, reading.test_key, reading.position, reading.value_text, judgement.verdict, judgement.validity,
               judgement.weight, judgement.occasion, judgement.snapshot ->> 'summary' as summary
        from judgement join reading on reading.id = judgement.reading_id left join job on job.id = reading.job_id
        join unit on unit.id = coalesce(job.unit_id, reading.unit_id)
        order by 1, 2, 3, 4, 5, judgement.made_at, 10
      SQL
    end
  end

  def answered(house) = %w[/health /].map { |path| house.caller.get(path).code }

  it 'starts all the same, with the same demo fleet judged in the same way; killed, it leaves nothing that the next start does not stop', :long do
    quiet = WholeHouse.run { |house| judged(house) }
    BusyMachine.while_busy do
      WholeHouse.run do |house|
        expect([answered(house), judged(house) == quiet, quiet.size]).to match([%w[200 200], true, be > 1_000])
        left = [house.web_master, *house.web_workers, house.queue_worker]
        house.kill
        house.start
        expect([answered(house), left.select { |pid| house.running?(pid) }]).to eq([%w[200 200], []])
      end
    end
  end

  it 'leaves no process of its own behind where a start fails', :long do
    Dir.mktmpdir do |state|
      FileUtils.chmod(0o755, state)
      house = WholeHouse.new(state, { LEAD_EMAIL: 'no e-mail', LEAD_PASSWORD: 'short' })
      out, status = Open3.capture2e(house.environment, 'bin/start', '--empty')
      expect([status.success?, out]).to match([false, /first lead failed/])
      expect(Dir['/proc/[0-9]*/environ'].select { |file| house.environment_in(file)['WATTOMNEUM_STATE'] == File.realpath(state) }).to eq([])
      expect(File.exist?(File.join(state, 'pg/postmaster.pid'))).to be(false)
    end
  end
end
