# frozen_string_literal: true

RSpec.describe 'Ending a job' do
  let(:down) { Server::Models::Job.first(unit_id: Server::Models::Unit.first(number: 'B-14').id) }

  it 'names what is missing, parks with it named, shows it on Today and takes it up again' do
    sign_in_as('electrician')
    visit "/jobs/#{down.id}"
    within('ul[aria-label="Missing to close"]') { expect(page).to have_content('No repair is recorded') }
    expect(find_button('Close the job', disabled: true)).to be_disabled
    click_button 'Park it'
    expect(page).to have_content('This job is parked')
    click_link 'Today'
    within('section', text: 'Parked, something missing') { expect(page).to have_content('B-14') }
    visit "/jobs/#{down.id}"
    click_button 'Reopen it'
    expect(page).to have_css('[data-step]')
  end

  it 'keeps a temporary repair on Today until it is made permanent' do
    sign_in_as('electrician')
    visit '/'
    within('section', text: 'Temporary repairs') { click_link(text: 'T-08') }
    expect(page).to have_content('Temporary until')
    click_button(text: /permanent/i)
    expect(page).to have_no_content('Temporary until')
    click_link 'Today'
    expect(page).to have_css('h1', text: 'Today')
    expect(page).to have_no_content('T-08')
  end

  it 'lets a lead condemn without full proof, with a reason that stays visible, and an electrician not' do
    sign_in_as('electrician')
    visit "/jobs/#{down.id}"
    expect(page).to have_css('summary', text: 'Starter with solenoid')
    find('summary', text: 'Starter with solenoid').click
    expect(page).to have_content('Not to be condemned yet')
    expect(page).to have_no_button('Override')
    sign_out
    sign_in_as('lead')
    visit "/jobs/#{down.id}"
    find('summary', text: 'Starter with solenoid').click
    within('details', text: 'Starter with solenoid') do
      fill_in 'Lead: condemn without full proof, because', with: 'Seen smoking'
      click_button 'Override'
      expect(page).to have_content('overriding the ladder: Seen smoking')
    end
  end

  it 'shows a driver the job and lets nothing be measured or ended, and an electrician cancel only with a reason' do
    sign_in_as('driver')
    visit "/jobs/#{down.id}"
    expect(page).to have_content('Just clicks')
    expect(page).to have_no_button('Take the reading', exact: false)
    expect(page).to have_no_button('Park it')
    sign_out
    sign_in_as('electrician')
    visit "/jobs/#{down.id}"
    click_button 'Cancel it'
    expect(page).to have_content('Say why it is cancelled')
    fill_in 'Reason, where one is needed', with: 'Wrong unit'
    click_button 'Cancel it'
    expect(page).to have_content('This job is cancelled')
  end

  # Two people on one job: the second one's ending is refused with what the first one did, and nothing is lost.
  it 'tells the second of two people what the first has done' do
    sign_in_as('electrician')
    visit "/jobs/#{down.id}"
    expect(page).to have_button('Park it')
    lead = Server::Models::Account.first(role: 'lead')
    down.park({ lock_version: down.lock_version, reason: 'Waits for a strap' }, by: lead)
    click_button 'Park it'
    expect(page).to have_content('Somebody else changed this job meanwhile')
    expect(Server::Models::Job.with_pk!(down.id).state).to eq('parked')
  end
end
