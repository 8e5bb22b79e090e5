# frozen_string_literal: true

# Spare batteries on the shelf, on a phone.
RSpec.describe 'The shelf' do
  it 'shows what wants charging first, keeps that it was charged and its volts, and where a battery has been', :phone do
    sign_in_as('electrician')
    visit '/shelf'
    expect(page).to have_css('h1', text: 'Shelf')
    first('section[aria-labelledby=spares] a').click
    expect(page).to have_css('h1', text: 'S-106 on the shelf')
    click_button 'Charged to full now'
    expect(page).to have_css('li', text: 'charged to full', count: 2)
    fill_in 'Volts at rest', with: '12590'
    click_button 'Keep the reading'
    click_button '12.59 V'
    expect(page).to have_css('li', text: '12.59 V at rest')
    visit '/shelf'
    expect(page).to have_content('0 of them to charge now')
    expect(find('section[aria-labelledby=spares] li', text: 'S-106')).to have_content(/About 9\d % by now, by its volts/)
    find('section[aria-labelledby=spares] a', text: 'T24-A').click
    expect(page).to have_css('section[aria-labelledby=places]', text: 'T-24 A')
    expect(page).to have_css('figure svg[role=img]')
    visit '/shelf'
    find('section[aria-labelledby=loose] a', text: 'ST-300').click
    expect(page).to have_css('h1', text: 'ST-300 on the shelf')
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390
  end
end
