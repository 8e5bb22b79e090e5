# frozen_string_literal: true

# What is read of a unit where nothing is complained of, on a phone and on a laptop.
RSpec.describe 'Rounds' do
  # A step by its heading: cautions said yes to once, what is needed confirmed, the figure kept.
  def keep(step, value)
    expect(page).to have_css("form[aria-label='Reading: #{step}']")
    check 'Seen and done' if page.has_field?('Seen and done', wait: 0)
    fill_in 'Reading', with: value
    click_button 'All that is needed holds' if page.has_button?('All that is needed holds', wait: 0)
    yield if block_given?
    click_button 'Keep it, next one'
  end

  it 'walks a charging session from rest to loads, step counted from step, and goes on where it was left', :phone do
    sign_in_as('electrician')
    unit = Server::Models::Unit.first(number: 'A-14')
    visit "/units/#{unit.id}"
    click_link 'Charging session'
    expect(page).to have_css('h1', text: 'Charging session A-14')
    keep('Posts of the bank, engine stopped', '12.6')
    expect(page).to have_css('h3', text: 'Charge lamp, key on')
    3.times { |times| click_button('Skip') && has_css?('li button[aria-current=step]', text: ['Posts, heater on', 'Posts, cranking', 'Idle'][times]) }
    keep('Charging voltage, idle', '13.3')
    keep('Charging voltage, fast idle', '14,45') { fill_in 'Battery temperature', with: '6' }
    keep('Dash voltmeter', '13.9')
    expect(page).to have_css('li', text: /Fast idle\s*Regulated as it should\s*14.45 V/)
    expect(find('section[aria-labelledby=together]')).to have_content('the gauge reads 0.55 V too low')
    expect(page).to have_css('section[aria-labelledby=drift] svg[role=img]')
    visit current_path
    expect(page).to have_css('form[aria-label="Reading: Charge lamp, key on, engine stopped"]')
    find('li button', text: 'Dash gauge').click
    click_button 'Withdraw it'
    fill_in 'Why it is wrong', with: 'the wrong gauge'
    click_button 'Withdraw'
    expect(page).to have_no_css('section[aria-labelledby=together]', text: 'gauge')
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390
    visit "/units/#{unit.id}"
    expect(page).to have_css('section', text: /Charging session\s/)
  end

  it 'reads a crank trace, asks what its volts are, draws what was found, and lists it beside the last sound one' do
    sign_in_as('electrician')
    unit = Server::Models::Unit.first(number: 'T-21')
    start = Wattomneum::Practice::CrankTrace.new(rest_volt: 25.1, bank_ohm: 0.0085, ampere: 420.0, rpm: 130.0, cylinders: 6)
    file = Tempfile.create(['start', '.csv'])
    file.write("time,posts,current (A)\n#{start.rows(hertz: 400).map do |second, volt, ampere|
      [second, (volt * 1000).round, ampere].join(',')
    end.join("\n")}\n")
    file.close
    visit "/units/#{unit.id}/traces"
    expect(page).to have_field('Cylinders', with: '6')
    attach_file 'Trace file', file.path
    fill_in 'Batteries and engine, °C', with: '2'
    click_button 'Read the trace'
    click_button 'millivolts'
    expect(page).to have_css('section[aria-labelledby=traces] li', count: 3)
    expect(page).to have_css('figure svg text', text: /settled: 21\.[45]\d V, 4[12]\d A, 1(29|30|31) rpm/)
    expect(page).to have_css('tr', text: /Posts, settled.*21\.[45]\d V/)
    visit "/units/#{unit.id}/rounds/start"
    expect(page).to have_css('li', text: /Posts, cranking.*21\.[45]\d V/m)
  end
end
