# frozen_string_literal: true

RSpec.describe 'Units and their batteries' do
  def enter_unit(number)
    visit '/units/new'
    fill_in 'Number', with: number
    fill_in 'Name', with: 'Tarn 9 crew bus'
    select 'bus', from: 'Kind'
    select 'Ridge Camp', from: 'Yard'
    fill_in 'Usual cranking current, A', with: '640,5'
    click_button 'Enter the unit'
  end

  it 'enters a unit, fits a battery with its rating and standard, takes it off and fits it elsewhere with its history' do
    sign_in_as('electrician')
    enter_unit('B-77')
    expect(page).to have_css('h1', text: 'B-77')
    click_button 'Fit a battery at A'
    within('[role=dialog]') do
      fill_in 'Tag', with: 'NEW-1'
      fill_in 'Cold cranking rating, A', with: '800'
      select 'EN', from: 'By which standard'
      fill_in 'Date code', with: 'C25'
      click_button 'Fit at A'
    end
    expect(page).to have_content('800 A EN, flooded, made March 2025')
    click_button 'Take off'
    click_button 'Fit a battery at B'
    within('[role=dialog]') do
      select 'NEW-1, 800 A EN, flooded', from: 'Which battery'
      click_button 'Fit at B'
    end
    expect(page).to have_css('h3', text: 'B NEW-1')
    expect(page).to have_content('Before: A NEW-1')
  end

  it 'says what is wrong with a unit and a battery and keeps what was typed, over a reload too' do
    sign_in_as('electrician')
    enter_unit('b-14')
    expect(page).to have_content('Another unit has this number')
    expect(page).to have_field('Usual cranking current, A', with: '640,5')
    fill_in 'Number', with: 'B-78'
    fill_in 'Usual cranking current, A', with: 'plenty'
    click_button 'Enter the unit'
    expect(page).to have_field('Usual cranking current, A', with: 'plenty')
    fill_in 'Usual cranking current, A', with: '600'
    click_button 'Enter the unit'
    click_button 'Fit a battery at A'
    within('[role=dialog]') do
      fill_in 'Tag', with: 'NEW-2'
      fill_in 'Cold cranking rating, A', with: '12'
      click_button 'Fit at A'
      expect(page).to have_content(/rating/i)
      expect(page).to have_field('Tag', with: 'NEW-2')
    end
    visit '/units/new'
    fill_in 'Number', with: 'B-79'
    fill_in 'Name', with: 'Half typed'
    visit '/units/new'
    expect(page).to have_field('Number', with: 'B-79')
    expect(page).to have_field('Name', with: 'Half typed')
  end

  it 'lets a lead retire a unit and bring it back, and nobody else, who gives readings as CSV and a job as JSON' do
    sign_in_as('lead')
    visit_unit('T-11')
    click_button 'Retire'
    expect(page).to have_content(', retired')
    visit '/units'
    expect(page).to have_no_content('T-11')
    select 'Retired', from: 'State'
    find('a', text: 'T-11').click
    click_button 'Bring back'
    expect(page).to have_button('Retire')
    sign_out
    sign_in_as('electrician')
    visit_unit('T-11')
    expect(page).to have_no_button('Retire')
    visit_unit('B-15')
    expect(find_link('All readings as CSV')['href']).to match(%r{/api/units/[0-9a-f-]+/readings\.csv\z})
    job = Server::Models::Job.first(state: 'closed')
    visit "/jobs/#{job.id}"
    expect(find_link('The job as JSON')['href']).to end_with("/api/jobs/#{job.id}/export")
  end

  it 'tells times by the clock of the yard, wherever the reader sits' do
    unit = Server::Models::Unit.first(number: 'B-15')
    Server::Models::Yard.where(id: unit.yard_id).update(time_zone: 'Pacific/Auckland')
    Browser.chrome.execute_cdp('Emulation.setTimezoneOverride', timezoneId: 'America/Los_Angeles')
    sign_in_as('electrician')
    visit_unit('B-15')
    newest = Server::Models::Job.where(unit_id: unit.id).max(:opened_at)
    day, time = Server::DB.get(Sequel.lit("to_char(?::timestamptz at time zone 'Pacific/Auckland', 'FMDD HH24:MI')", newest)).split
    expect(find('section[aria-labelledby=timeline]')).to have_content(/\b#{day} \w+ #{time}/)
  ensure
    Browser.chrome.execute_cdp('Emulation.setTimezoneOverride', timezoneId: '')
  end
end
