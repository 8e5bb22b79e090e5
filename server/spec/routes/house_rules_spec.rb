# frozen_string_literal: true

RSpec.describe Server::Routes::HouseRules do
  it 'shows limits with their sources and schools to everybody' do
    sign_in_as('reader')
    rules = read('/api/house-rules')
    expect(rules['limits'].map { |limit| limit['id'] }).to include('drop.ground_cranking@12', 'drop.ground_cranking@24')
    expect(rules['schools'].first).to include('key' => 'battery_pairs', 'chosen' => 'set')
  end

  it 'lets a lead choose, keeps who it was, and the step that condemns a battery follows it' do
    lead = sign_in_as('lead')
    write(:put, '/api/schools/battery_pairs', { answer: 'failed_one' })
    expect(read('/api/house-rules')['schools'].first['chosen']).to eq('failed_one')
    entry = Server::DB[:audit].where(table_name: 'school_choice', person_id: lead.id).first
    expect([entry[:row_id], entry[:person_id]]).to eq(['battery_pairs', lead.id])
    expect(Server::Models::SchoolChoice.in_force.words('battery_pairs')).to include('young and strong')
  end

  describe 'a limit' do
    def limit(id) = read('/api/house-rules')['limits'].find { |row| row['id'] == id }
    def set(id, value, reason = 'Long frames here') = write(:put, "/api/limits/#{id}", { value: value, reason: reason })

    it 'is set by a lead with a reason, judges by it at once, and says so in the why lines' do
      lead = sign_in_as('lead')
      job = open_job['id']
      take(job, 'cranking_behaviour', 'normal')
      take(job, 'cranking_current', 600)
      take(job, 'ground_drop', '0.25')
      drop = -> { read("/api/jobs/#{job}")['readings'].last }
      verdict = -> { drop.call['judged'].slice('verdict', 'limits') }
      expect(verdict.call['verdict']).to eq('sound')
      set('drop.ground_cranking@12', 0.2)
      expect(drop.call['verdict_when_taken']).to eq('sound')
      expect(verdict.call).to match('verdict' => 'act', 'limits' => include(include('id' => 'drop.ground_cranking@12', 'value' => 0.2,
                                                                                    'source_kind' => 'set by the fleet')))
      expect(limit('drop.ground_cranking@12'))
        .to include('value' => 0.2, 'shipped_value' => 0.3, 'reason' => 'Long frames here', 'person' => lead.name)
      entry = Server::DB[:audit].where(table_name: 'limit_override', person_id: lead.id).first
      expect([entry[:row_id], entry[:person_id]]).to eq(['drop.ground_cranking@12', lead.id])
    end

    it 'is told on the card of the test too, and goes back to what is shipped' do
      sign_in_as('lead')
      job = open_job['id']
      card = -> { read("/api/jobs/#{job}")['tests'].find { |test| test['key'] == 'ground_drop' }['answers'].first['when'] }
      set('drop.ground_cranking@12', 0.2)
      expect(card.call).to include('0.2 V')
      write(:post, '/api/limits/drop.ground_cranking@12/as-shipped')
      expect(card.call).to include('0.3 V')
      expect(limit('drop.ground_cranking@12'))
        .to include('value' => 0.3, 'shipped_value' => nil, 'reason' => nil, 'source_kind' => 'common practice')
    end

    it 'counts in the sums as well' do
      sign_in_as('lead')
      set('charging.high@12', 14.4)
      expect(read('/api/sums/regulated?celsius=25')['answer']).to eq('13.80 V to 14.40 V')
    end

    it 'is refused far from what is shipped, past its neighbour, where it guards people, without a reason, and from anybody else' do
      sign_in_as('lead')
      { ['drop.ground_cranking@12', 3.0] => 'may be set from 0.15 to 0.6 V', ['charging.low@12', 14.7] => 'must stay under charging.high@12',
        ['charging.over_cap@12', 17.0] => "not a fleet's to set",
        ['drop.nothing', 1.0] => 'no limit drop.nothing' }.each do |(id, value), words|
        set(id, value)
        expect([id, status, error['message']]).to match([id, 422, include(words)])
      end
      set('drop.ground_cranking@12', 0.2, ' ')
      expect([status, error['fields'].keys]).to eq([422, ['reason']])
      sign_in_as('electrician')
      set('drop.ground_cranking@12', 0.2)
      expect(status).to eq(403)
    end
  end

  it 'refuses an answer nobody has, and anybody but a lead' do
    sign_in_as('lead')
    write(:put, '/api/schools/battery_pairs', { answer: 'none' })
    expect([status, error['message']]).to match([422, include('no answer none')])
    sign_in_as('electrician')
    write(:put, '/api/schools/battery_pairs', { answer: 'failed_one' })
    expect(status).to eq(403)
  end
end
