# frozen_string_literal: true

RSpec.describe 'People and yards' do
  def fill_person(name:, email:, password:)
    fill_in 'Name', with: name
    fill_in 'E-mail', with: email
    fill_in 'First password', with: password
  end

  def sign_in(email, password)
    visit '/'
    fill_in 'E-mail', with: email
    fill_in 'Password', with: password
    click_button 'Sign in'
  end

  it 'lets a lead add a person, who signs in, changes the password, and is shut out when blocked' do
    sign_in_as('lead')
    visit '/house-rules'
    click_button 'Add a person'
    fill_person(name: 'Ivo Sand', email: 'ivo@skarrow.example', password: 'short')
    select 'driver: reports what fails', from: 'Role'
    click_button 'Add the person'
    expect(page).to have_content('needs 10 letters or more')
    fill_in 'First password', with: 'first words of many'
    click_button 'Add the person'
    expect(page).to have_css('li', text: 'Ivo Sand, driver')
    sign_out

    sign_in('ivo@skarrow.example', 'first words of many')
    click_button 'Ivo Sand, driver'
    click_button 'Change your password'
    fill_in 'The one you have', with: 'first words of many'
    fill_in 'The new one', with: 'wet gloves at dawn'
    click_button 'Change it'
    expect(page).to have_content('Changed. Anywhere else you are signed out.')
    find('body').send_keys(:escape)
    sign_out

    sign_in_as('lead')
    visit '/house-rules'
    click_button 'Change Ivo Sand'
    uncheck 'May sign in'
    click_button 'Save the person'
    expect(page).to have_css('li', text: 'Ivo Sand, driver, may not sign in')
    sign_out
    sign_in('ivo@skarrow.example', 'wet gloves at dawn')
    expect(page).to have_content('E-mail or password is wrong')
  end

  it 'lets a lead add a yard with its clock, into which a unit is entered, and keeps a lead in the fleet' do
    sign_in_as('lead')
    visit '/house-rules'
    click_button 'Add a yard'
    fill_in 'Name', with: 'Far Quarry'
    fill_in 'Time zone', with: 'Europe/Atlantis'
    click_button 'Add the yard'
    expect(page).to have_content('is no time zone known here')
    fill_in 'Time zone', with: 'Europe/Oslo'
    click_button 'Add the yard'
    expect(page).to have_css('li', text: 'Far Quarry')
    visit '/units/new'
    expect(page).to have_select('Yard', with_options: ['Far Quarry'])
    visit '/'
    click_link 'House rules'
    click_button 'Change Osric Vane'
    select 'reader: looks on', from: 'Role'
    click_button 'Save the person'
    expect(page).to have_content('There must be a lead who can sign in')
  end

  it 'has the way out, the light and the house rules within reach of a thumb', :phone do
    sign_in_as('electrician')
    visit '/jobs'
    click_button 'You'
    before = page.evaluate_script('document.documentElement.dataset.theme')
    click_button 'Yard or cab light'
    expect(page).to have_no_css("html[data-theme=#{before}]")
    click_button 'Close'
    click_button 'More'
    expect(page).to have_link('Shelf').and have_button('Keys')
    click_link 'House rules'
    expect(page).to have_css('h1', text: 'House rules')
    click_button 'You'
    sign_out
  end
end
