# frozen_string_literal: true

RSpec.describe 'Circuits' do
  include Keyboard

  before { sign_in_as('electrician') }

  def open_sheet(unit, title)
    visit_unit(unit)
    within('section[aria-labelledby=circuits]') { click_link title }
    expect(page).to have_css('h1', text: title)
    read_as('pins')
  end

  def read_as(what) = find('[aria-label="Read as"] [role=radio]', text: what, exact_text: true).click

  def choose_state(label) = find('[role=radio]', text: label, exact_text: true).click

  it 'lands on a pin or a component typed into the box, and says what should be there, where it comes from and what interrupts it', :only_looks,
     :seeds, if: Extent.turn?(0) do
    visit '/jobs'
    find('body').send_keys('/')
    fill_in 'Find a unit, battery or job', with: 'A1:A/1'
    find('[role=option]', text: 'on T-03').click
    expect(page).to have_css('h2', text: 'A1:A/1')
    within('section[aria-label="Comes from"]') { expect(page).to have_content('K10 Main relay, contact 30 to 87') }
    expect(page).to have_css('tr[aria-current]', text: 'Running')
    choose_state('Isolator on')
    within('section[aria-label="Comes from"]') do
      expect(page).to have_content('interrupted')
      expect(page).to have_content('open: K10 is not pulled in')
    end
    within('section[aria-label="Goes to ground"]') { expect(page).to have_content('A1 Engine control unit') }
    { 'K11' => 'Open this: what falls dead with it?', 'BAT:+' => 'Comes from' }.each do |typed, asked|
      find('body').send_keys('/')
      fill_in 'Find a unit, battery or job', with: typed
      find('[role=option]', text: /\A#{Regexp.escape(typed)}\s/, match: :first).click
      expect(page).to have_css('h2', text: typed).and have_content(asked)
    end
  end

  it 'switches key states in the table, lands on a wire typed there, traces it and follows it to the next sheet', :only_looks, :seeds,
     if: Extent.turn?(1) do
    open_sheet('T-03', 'Engine control unit, power, sensors, actuators')
    row = -> { find(:xpath, "//tr[.//button[@aria-label='Pin A1:A/1']]") }
    expect(row.call).to have_content('25.00 V')
    choose_state('Isolator on')
    expect(row.call).to have_content('0.00 V')
    fill_in 'Pin, wire or component on this sheet', with: 'wire 27'
    find_field('Pin, wire or component on this sheet').send_keys(:enter)
    expect(page).to have_css('h2', text: 'Wire 27')
    expect(page).to have_content('listens: input')
    click_link 'Goes on to fuel pump at S2:15'
    expect(page).to have_css('h1', text: 'Fuel pump relay with its own ground')
    expect(page).to have_css('h2', text: 'S2:15')
  end

  it 'opens one ground and shows what falls dead in which state, and lists what stays live with the isolator open', :only_looks, :seeds,
     if: Extent.turn?(2) do
    open_sheet('T-03', 'Engine control unit, power, sensors, actuators')
    click_button 'open this: G6'
    expect(page).to have_css('h2', text: 'G6 open')
    within('section[aria-label="Running"]') { expect(page).to have_content('Injector 1 falls dead') }
    within('section[aria-label="Key on"]') { expect(page).to have_content('Coolant temperature moves') }
    open_sheet('T-03', 'Auxiliary heater, long frame run')
    click_button 'What stays live'
    choose_state('Isolator open')
    expect(page).to have_css('li', text: %r{U3:A/1\sHeater})
  end

  it 'ranks the common cause of what is dead and what works, says what to look at next to tell them apart, and takes the answer there', :only_looks,
     :seeds, if: Extent.turn?(3) do
    open_sheet('T-03', 'Fuel pump relay with its own ground')
    click_button 'Dead and working'
    ['Fuel pump', 'Fuel heater'].each { |name| find("[role=radiogroup][aria-label='#{name}']").click_button('dead') }
    find('[role=radiogroup][aria-label="Fuel pump relay clicks"]').click_button('works')
    within('section[aria-label="Common cause"]') do
      expect(page).to have_content('1. Explains all of it')
      expect(find('li', text: '1.')).to have_content('G9 Tank ground on the left rail')
      expect(find('li', text: '1.')).to have_no_content('G8')
    end
    open_sheet('T-03', 'Fuel pump relay with its own ground')
    click_button 'Dead and working'
    find('[role=radiogroup][aria-label="Fuel pump"]').click_button('dead')
    within('section[aria-label="Look at next"]') do
      expect(page).to have_content('Look at next: Fuel pump relay clicks')
      click_button 'works'
      expect(page).to have_content('Look at next: Fuel heater')
      click_button 'works'
    end
    expect(page).to have_no_css('section[aria-label="Look at next"]')
    expect(find('[role=radiogroup][aria-label="Fuel heater"] [aria-checked=true]')).to have_content('works')
    within('section[aria-label="Common cause"]') { expect(find('li', text: '1.')).to have_content('M2 Fuel pump') }
  end

  it 'keeps a ruling on a conflict as local truth, with who ruled' do
    open_sheet('T-03', 'Fuel pump relay with its own ground')
    click_button 'Conflicts'
    conflict = find('li', text: 'S2 has two names')
    conflict.choose('It is "Ignition switch"')
    conflict.fill_in('How it was seen', with: 'Label on the lock')
    conflict.click_button('Rule it so')
    expect(page).to have_css('li', text: /It is "Ignition switch": Label on the lock Mara Kell/)
    expect(Server::Models::Ruling.get(:note)).to eq('Label on the lock')
  end

  it 'names every objection to a sheet that cannot be read, and changes nothing' do
    visit '/circuits'
    click_button 'Bring in a sheet'
    fill_in 'Or its text', with: Wattomneum::Circuits::Library::TEXTS['fuel_pump'].sub('to: K11:86', 'to: K11:99')
    click_button 'Bring it in'
    expect(page).to have_content('Not taken. Nothing was changed.')
    expect(page).to have_content('wire 7 goes to K11:99, which relay K11 has not')
  end

  # The figure pad of some phones has no minus.
  it 'fits a phone without sideways scroll, works a sum out while it is typed, and turns the sign of a temperature by a key', :only_looks, :phone,
     :seeds, if: Extent.turn?(4) do
    visit '/sums/cold_crank'
    expect(page).to have_content('8.82 V at the posts')
    fill_in 'Low tonight, °C', with: '10'
    expect(page).to have_content('10.52 V at the posts')
    click_button 'Low tonight, °C: above or below zero'
    expect(page).to have_field('Low tonight, °C', with: '-10')
    expect(page).to have_content('9.28 V at the posts')
    click_button 'Low tonight, °C: above or below zero'
    expect(page).to have_field('Low tonight, °C', with: '10')
    visit '/sums/ghost_volts'
    expect(page).to have_content('1.54 MΩ')
    fill_in 'Shown, V', with: '11,9'
    expect(page).to have_content('84.03 kΩ')
    fill_in 'Shown, V', with: 'eleven'
    expect(page).to have_content('"eleven" is not a number')
    draw_sheets
    id = Server::Models::UnitSheet.where(unit_id: Server::Models::Unit.where(number: 'T-03').select(:id),
                                         sheet_id: Server::Models::Sheet.where(key: 'ecu_power').select(:id)).get(:id)
    ['?pin=A1:A/1', '?wire=66', '?open=G6', '?ask=cause', '?ask=live', '?ask=conflicts'].each do |question|
      visit "/circuits/#{id}#{question}"
      expect(page).to have_css('h2')
      expect(page).to have_no_css('[role=status]', text: 'Reading')
      expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390, question
    end
    visit '/sums/cable_size'
    expect(page).to have_content('10 mm²')
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= 390
  end

  it 'goes from anywhere to a pin, a key state and a component opened, by keyboard alone', :only_looks, :seeds, if: Extent.turn?(5) do
    visit '/jobs'
    expect(page).to have_field('Find a unit, battery or job')
    press('/')
    expect(page).to have_css('[role=combobox]:focus')
    press('K11:86')
    expect(page).to have_css('[role=option]', text: 'K11:86')
    press(:enter)
    expect(page).to have_css('h2', text: 'K11:86')
    tab_to { |on| on.name == 'Running' }
    ['Cranking', 'Key on', 'Isolator on'].each do |name|
      press(:arrow_left)
      expect(page).to have_css('[role=radio]:focus', text: name)
    end
    press(:enter)
    expect(page).to have_css('tr[aria-current]', text: 'Isolator on')
    tab_to { |on| on.name == 'drawing' }
    press(:arrow_right)
    # The focus moves a moment after the key: what is pressed before that falls on the one before.
    expect(page).to have_css('[role=radio]:focus', text: 'pins')
    press(:enter)
    tab_to_button('open this: G8')
    press(:enter)
    expect(page).to have_css('h2', text: 'G8 open')
  end

  it 'shows a unit\'s sheets as one circuit, and what one ground on it carries', :only_looks, :seeds, if: Extent.turn?(6) do
    visit '/circuits'
    within('section[aria-label="Corrie 18"]') { click_link 'T-03' }
    expect(page).to have_css('h1', text: 'The whole unit').and have_content('7 sheets as one')
    find('button', exact_text: 'Key on').click
    within('details', text: 'A sound unit, key on') { expect(page.all('dd').map(&:text)).to match([/Fuel pump/, /Starter/]) }
    click_button 'open this: G2'
    within('section[aria-label="Cranking"]') { expect(page).to have_content('Starter falls dead') }
    within('section[aria-label="Running"]') { expect(page).to have_content('Injector 1 falls dead') }
  end
end
