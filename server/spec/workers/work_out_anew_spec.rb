# frozen_string_literal: true

RSpec.describe Server::Workers::WorkOutAnew do
  let(:models) { Server::Models }

  def queued = Server::DB[:que_jobs].where(job_class: described_class.name).count

  # As after the migration that began to keep it, once somebody has read one unit already.
  it 'is ordered while any unit in service has nothing kept, and not after' do
    units = Array.new(2) { a_unit }
    described_class.all(steps: ['batteries', 'crank tests', 'standings'])
    expect { described_class.if_missing }.not_to(change { queued })
    models::UnitStanding.where(unit_id: units.last.id).delete
    expect { described_class.if_missing }.to change { queued }.by(1)
  end

  it 'takes no tested unit for an untested one where only its temperature is asked for' do
    sign_in_as('electrician')
    unit = a_unit
    { 'posts_rest' => '12.6', 'posts_cranking' => '10.2' }.each do |key, text|
      write(:post, "/api/units/#{unit.id}/rounds/start/readings", { id: SecureRandom.uuid, test_key: key, value_text: text, conditions: {} })
    end
    before = models::StartThreshold[unit.id].values.except(:worked_out_at)
    models::StartState.where(unit_id: unit.id).delete
    models::StartThreshold.work_out_each([unit.id])
    expect([before[:tested], models::StartThreshold[unit.id].values.except(:worked_out_at)]).to eq([true, before])
  end
end
