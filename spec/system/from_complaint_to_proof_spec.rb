# frozen_string_literal: true

RSpec.describe 'From a complaint to a proved repair' do
  before { sign_in_as('electrician') }

  [11, 12, 13].each do |seed|
    it "finds a ground joint behind a click on a 12 V bus with a parallel pair (seed #{seed})" do
      open_job_on('B-15', 'Just clicks')
      kinds = work_to_the_end(simulated('B-15', 'block_strap', 'resistance', 0.08 + (seed * 0.001), seed: seed))
      expect(kinds).to include('repair', 'prove', 'put_back', 'close')
      expect(page).to have_content('proved by the reading that failed')
      expect(page).to have_content('Strap, engine block to frame')
    end

    it "finds the failing battery of a 24 V truck (seed #{seed})" do
      open_job_on('T-05', 'Cranks slowly since the frost')
      kinds = work_to_the_end(simulated('T-05', 'battery', 'weak', 0.3, 'B', seed: seed))
      expect(kinds).to include('condemn', 'prove', 'close')
      expect(page).to have_content('Battery B')
      expect(page).to have_content('proved by the reading that failed')
    end
  end

  it 'shows why a verdict is what it is, corrects a reading with a reason, and keeps the first one readable' do
    open_job_on('B-15', 'Just clicks')
    take_reading(next_step, simulated('B-15', 'block_strap', 'resistance', 0.08))
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
