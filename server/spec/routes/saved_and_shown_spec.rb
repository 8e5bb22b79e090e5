# frozen_string_literal: true

# A write is acknowledged at its commit; showing what it was about is another question.
RSpec.describe Server::Routes::Base do
  before { sign_in_as('electrician') }

  let!(:job) { open_job }

  def fails(presenter, error)
    allow(presenter).to receive(:call).and_raise(error)
  end

  it 'says that a reading is saved where the bench is more than is worked out, in line, or broken' do
    id = job['id']
    [Wattomneum::OverBudgetError.new('more than is worked out'), Server::Refusals::InLine.new('in line', retry_after_seconds: 1)].each do |error|
      fails(Server::Presenters::JobBench, error)
      saved = take(id, 'posts_rest', '12.6')
      expect([status, saved]).to eq([202, { 'saved' => true, 'why' => error.message }])
    end
    fails(Server::Presenters::JobBench, NoMethodError.new('of ours'))
    expect { take(id, 'posts_rest', '12.6') }.to output(/saved and not shown.*of ours/m).to_stderr
    expect([status, Server::Models::Reading.where(job_id: id).count]).to eq([202, 3])
  end

  it 'does nothing twice when it is sent again, and shows it then' do
    fields = { id: SecureRandom.uuid, test_key: 'posts_rest', value_text: '12.6', conditions: { value_confirmed: 'yes' } }
    request_id = SecureRandom.uuid
    path = "/api/jobs/#{job['id']}/readings"
    fails(Server::Presenters::JobBench, Wattomneum::OverBudgetError.new('more'))
    write(:post, path, fields, request_id: request_id)
    expect(status).to eq(202)
    RSpec::Mocks.space.proxy_for(Server::Presenters::JobBench).reset
    shown = write(:post, path, fields, request_id: request_id)
    expect([status, shown['readings'].map { |one| one['id'] }]).to eq([201, [fields[:id]]])
    expect(write(:post, "/api/requests/#{request_id}/settlement")).to eq('saved' => true)
  end

  it 'still refuses what was not done, with its own status' do
    fails(Server::Presenters::JobBench, Wattomneum::OverBudgetError.new('more'))
    take(job['id'], 'posts_rest', 'twelve')
    expect(status).to eq(422)
  end
end
