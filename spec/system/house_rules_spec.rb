# frozen_string_literal: true

RSpec.describe 'House rules' do
  def line(id) = find('li', text: id)

  # What guards people is fixed, and everything is for everybody but a lead.
  def expect_fixed_and_folded
    fill_in 'Show only', with: 'over_cap'
    expect(line('charging.over_cap@12')).to have_content('fixed').and have_no_button
    sign_out
    sign_in_as('electrician')
    visit '/house-rules'
    find('summary', text: 'Charging').click
    expect(page).to have_css('li', text: 'charging.over_cap@12')
    find('summary', text: 'Charging').click
    expect(page).to have_no_css('li', text: 'charging.over_cap@12')
    find('summary', text: 'Charging').click
    expect(page).to have_no_button(text: 'Change')
  end

  it 'lets a lead, and nobody else, set a limit with a reason, names it in the why lines, goes back to what is shipped, and keeps some fixed' do
    sign_in_as('lead')
    visit '/jobs'
    click_link 'House rules'
    fill_in 'Show only', with: 'drop.ground_cranking@12'
    click_button 'Change Ground drop while cranking, 12 V'
    fill_in 'This fleet\'s figure, V', with: '3'
    fill_in 'Why', with: 'Short straps'
    click_button 'Judge by this'
    expect(page).to have_content('may be set from 0.15 to 0.6 V, got 3')
    fill_in 'This fleet\'s figure, V', with: '0,2'
    click_button 'Judge by this'
    expect(page).to have_no_css('[role=dialog]')
    expect(line('drop.ground_cranking@12')).to have_content('0.2 V').and have_content('Short straps (Osric Vane; shipped 0.3 V)')

    click_link 'Today'
    click_link 'B-14'
    find("button[aria-label^='Why Ground drop']").click
    expect(page).to have_content('Ground drop while cranking, 12 V: 0.2 V, set by the fleet')

    click_link 'House rules'
    find('summary', text: 'Voltage drops with the circuit working').tap { |line| expect(line).to have_content('1 set by this fleet') }.click
    click_button 'Change Ground drop while cranking, 12 V'
    click_button 'Back to 0.3 V'
    expect(page).to have_no_css('[role=dialog]')
    expect(line('drop.ground_cranking@12')).to have_content('0.3 V').and have_no_content('Short straps')

    expect_fixed_and_folded
  end
end
