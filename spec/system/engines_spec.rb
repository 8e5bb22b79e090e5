# frozen_string_literal: true

# Spark engines beside their loops: a winch without a spark, a pump engine on three, a cap from loose leads, a tachometer on another alternator.
RSpec.describe 'Engines' do
  def unit(number) = Server::Models::Unit.first(number: number)
  def step = find('[data-step]')

  def answer(button, to:)
    expect(step).to have_css('h2', text: to)
    within(step) { click_button button }
    expect(page).to have_no_css('[data-step] h2', text: to)
  end

  def say(label, text, button)
    within(step) do
      fill_in label, with: text
      click_button button
    end
  end

  it 'brings a winch from no spark to every interlock proved, by thumb', :phone do
    sign_in_as('electrician')
    visit "/units/#{unit('W-11').id}/engine"
    expect(page).to have_css('g[data-branch="8"][data-state=grounds]')
    expect(step).to have_content('never battery volts on it')
    answer('Spark', to: 'Emergency stop')
    answer('Spark', to: 'Oil level switch')
    say('Ohms: 3.5, 12 k, 4 M or OL', '2,5', 'Keep the ohms')
    expect(step).to have_content('Door switch left: touches metal')
    say('What was mended', 'Sleeve at the hinge renewed', 'It is mended')
    answer('Spark', to: 'Door switch left')
    ['all branches tightened', 'plugs, clips', 'doors, covers'].each { |stage| answer('Spark', to: stage) }
    ['key off', 'left door', 'right door', 'emergency stop'].each { |asked| answer('Seen to stop', to: asked) }
    answer('Seen to stop', to: 'oil low')
    expect(step).to have_content('every interlock was seen to stop it')
    expect(page).to have_css('section[aria-labelledby=interlocks] li', text: 'seen to stop it', count: 5)
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390
  end

  it 'sees a pump engine through its wet plug, rebuilds its cap from loose leads, and matches a tachometer' do
    sign_in_as('electrician')
    visit "/units/#{unit('P-01').id}/engine?at=plugs"
    answer('Done', to: 'Put a dry plug into cylinder 3')
    within(step) { click_button 'It fires on all' }
    expect(page).to have_content('cylinder 3 came back by one of: lead of cylinder 3')
    expect(step).to have_content('It fires on every cylinder')

    click_link 'Cap and leads'
    fill_in 'Leads as they are now, clockwise from cylinder 1', with: '1 2 4 4'
    click_button 'Draw the cap'
    expect(page).to have_content('cylinder 4 has two leads')
    fill_in 'Leads as they are now, clockwise from cylinder 1', with: '1 4 2 3'
    fill_in 'Cylinders that are weak or dead', with: '2 4'
    click_button 'Draw the cap'
    expect(page).to have_content('Change the leads of 2 and 4.').and have_content('change the leads of 2 and 4')
    expect(page).to have_css('svg[aria-label*="cylinder 1 at 3, cylinder 3 at 12, cylinder 4 at 9, cylinder 2 at 6"]')
    click_link 'Labels for the leads, to print'
    expect(page).to have_css('li', text: 'Cyl 3', count: 2)

    visit '/sums/tachometer'
    fill_in 'Pulses a turn that come', with: '24'
    fill_in 'Pulses a turn it is set for', with: '12'
    expect(page).to have_content('shows 2000 rpm at 1000').and have_content('24 / 12 = 2')
    fill_in 'Unit number', with: 'H-01'
    click_button 'Use on this unit'
    click_button 'Use on H-01'
    click_link 'H-01'
    expect(page).to have_content('a converter divides by 2; or set the gauge for 24 pulses')
  end
end
