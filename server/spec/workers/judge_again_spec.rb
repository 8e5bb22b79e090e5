# frozen_string_literal: true

RSpec.describe Server::Workers::JudgeAgain do
  it 'is queued inside the transaction that corrects a battery, and vanishes with it' do
    sign_in_as('electrician')
    battery = fit_battery(a_unit(batteries: false), 'A')
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 9, type: 'agm', rating_ampere: 900, rating_standard: 'EN' })
    expect([status, Server::DB[:que_jobs].count]).to eq([409, 0])
    write(:patch, "/api/batteries/#{battery.id}", { lock_version: 0, type: 'agm', rating_ampere: 900, rating_standard: 'EN' })
    expect(Server::DB[:que_jobs].select_map(:args).map(&:to_a)).to eq([[battery.id]])
  end
end
