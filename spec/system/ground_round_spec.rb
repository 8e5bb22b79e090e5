# frozen_string_literal: true

# A round along the grounds of a unit, on a phone.
RSpec.describe 'A ground round' do
  it 'walks from ground to ground, keeps each before and after, and shows them on the map', :phone do
    sign_in_as('electrician')
    unit = Server::Models::Unit.first(number: 'T-05')
    visit "/units/#{unit.id}/grounds"
    expect(page).to have_css('h1', text: 'Grounds T-05')
    click_button 'Start the round'
    first_one = find('section[aria-label=Round] h2').text
    fill_in 'Before, mV', with: '4,5'
    click_button 'Keep it, next one'
    expect(page).to have_content('Current, A is no number')
    fill_in 'Current, A', with: '310'
    check 'cleaned'
    fill_in 'After, mV, at the same two points', with: '1.5'
    click_button 'Keep it, next one'
    expect(page).to have_no_css('section[aria-label=Round] h2', text: first_one, exact_text: true)
    expect(page).to have_field('Current, A', with: '310')
    click_button 'Skip'
    row = find('section[aria-label="In the order of the walk"] li', text: first_one, match: :first)
    expect(row).to have_content(/before\s*0.015 mΩ/).and have_content(/after\s*0.005 mΩ/)
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390
  end
end
