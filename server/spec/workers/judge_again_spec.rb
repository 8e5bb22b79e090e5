# frozen_string_literal: true

RSpec.describe Server::Workers::JudgeAgain do
  # Other work of other specs may wait in the queue.
  def queued = Server::DB[:que_jobs].where(job_class: described_class.name).select_map(:args).map(&:to_a)

  it 'is queued inside the transaction that corrects a battery, and vanishes with it' do
    sign_in_as('electrician')
    battery = fit_battery(a_unit(batteries: false), 'A')
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 9, type: 'agm', rating_ampere: 900, rating_standard: 'EN' })
    expect([status, queued]).to eq([409, []])
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 0, type: 'agm', rating_ampere: 900, rating_standard: 'EN' })
    expect(queued).to eq([[battery.id]])
  end
end
