# frozen_string_literal: true

RSpec.describe 'Why and corrections' do
  before { sign_in_as('electrician') }

  it 'shows why a verdict is what it is, corrects a reading with a reason, and keeps the first one readable' do
    open_job_on('B-15', 'Just clicks')
    take_reading(next_step, with_bad_joint('B-15', 'engine_block', 'frame', ohm: 0.08))
    click_button 'Why Behaviour One click, no crank is act'
    expect(page).to have_content('Rules out')
    click_button 'Correct it'
    within('form[aria-label^="Reading"]') do
      check 'Seen and done' if page.has_field?('Seen and done', wait: 0)
      find("input[value='slow']").click
      fill_in 'Why the first one was wrong', with: 'It did turn, once'
      click_button 'Save the correction'
    end
    expect(page).to have_content('superseded')
    expect(page).to have_content('Cranks slowly')
  end
end
