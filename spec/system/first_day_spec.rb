# frozen_string_literal: true

RSpec.describe 'The first day of a fleet' do
  before { DemoFleet.without_units }

  it 'tells a reader what it waits for and an electrician what comes first, and leads from there to a unit whose batteries are tested' do
    sign_in_as('reader')
    visit '/'
    expect(page).to have_content('No unit is entered yet. An electrician or the lead enters them.')
    click_link 'Units'
    expect(page).to have_content('No unit yet')
    click_link 'Circuits'
    expect(page).to have_link('Start, 12 V parallel pair')
    sign_out
    sign_in_as('lead')
    visit '/'
    expect(page).to have_link('Add people and yards')
    click_link 'Enter the first unit'
    fill_in 'Number', with: 'P-01'
    fill_in 'Name', with: 'Pump tractor'
    select 'Stores', from: 'Yard'
    select '12 V, one battery', from: 'Batteries'
    fill_in 'Usual cranking current, A', with: '300'
    click_button 'Enter the unit'
    expect(page).to have_css('h1', text: 'P-01')
    click_button 'Fit a battery at A'
    fill_in 'Tag', with: 'P01-A'
    fill_in 'Cold cranking rating, A', with: '640'
    click_button 'Fit at A'
    expect(page).to have_content('640 A SAE')
    click_link 'Today'
    expect(page).to have_content('Nothing is down')
    expect(page).to have_link('Choose a unit')
  end
end
