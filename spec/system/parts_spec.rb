# frozen_string_literal: true

# Starters, alternators and relays as individuals, from a unit's sheet.
RSpec.describe 'Parts of a unit' do
  it 'replaces an alternator by a stronger one of the shelf, says what to look at, and shows where each has been' do
    sign_in_as('electrician')
    unit = Server::Models::Unit.first(number: 'T-05')
    visit "/units/#{unit.id}"
    row = find('section[aria-labelledby=parts] li', text: 'AL-105')
    row.click_button 'Replace'
    within('[role=dialog]') do
      expect(page).to have_content(/isolator/i)
      select 'AL-300, 140 A', from: 'Which one'
      click_button 'Fit it'
    end
    expect(page).to have_css('section[aria-labelledby=parts] li', text: 'AL-300')
    expect(page).to have_content('75 % more drop and 206 % more heat')
    click_link 'AL-105'
    expect(page).to have_css('h1', text: 'AL-105 on the shelf')
    expect(page).to have_css('section[aria-labelledby=places] li', text: 'T-05')
    expect(page).to have_css('section[aria-labelledby=readings] li', text: 'Fast idle')
    visit '/'
    fill_in 'Find', with: 'AL-300'
    expect(page).to have_css('[role=option]', text: 'Alternator AL-300')
  end
end
