# frozen_string_literal: true

RSpec.describe 'Circuits as a drawing', :only_looks do
  before do
    sign_in_as('electrician')
    draw_sheets
  end

  def choose_state(label) = find('[role=radio]', text: label, exact_text: true).click

  def open_drawing(key, question = '')
    version = Server::Models::SheetVersion.newest_of(key)
    visit "/circuits/#{version.id}#{question}"
    click_button 'Whole'
    expect(page).to have_css('svg[role=application] [data-wire]')
    version
  end

  def drawn(javascript) = page.evaluate_script("(([drawing]) => #{javascript})(document.querySelectorAll('svg[role=application]'))")

  # Large enough to be read, and in nobody's way until it is tapped; over all of the screen where somebody asks for it.
  def read_on_its_own_terms
    expect(page).to have_css('svg[role=application] [data-part]')
    expect(drawn(<<~JS)).to be >= 12
      Math.min(...[...drawing.querySelectorAll('text')].map((one) => parseFloat(getComputedStyle(one).fontSize) * Math.hypot(one.getScreenCTM().a, one.getScreenCTM().b)))
    JS
    expect(drawn('getComputedStyle(drawing).touchAction')).to eq('pan-y')
    click_button 'Whole screen'
    expect(page).to have_button('Back to the page')
    expect(drawn('[drawing.clientWidth - innerWidth, drawing.clientHeight - innerHeight]')).to eq([0, 0])
    send_keys(:escape)
    expect(page).to have_button('Whole screen')
  end

  def over_the_whole_width
    click_button 'Drawing over the whole width'
    expect(drawn('drawing.clientWidth > 0.8 * innerWidth')).to be(true)
    click_button 'Drawing beside the answers'
  end

  # How a stop was seen is kept, and a lead answers what will not stop it.
  def answer_a_stop
    click_button 'You'
    sign_out
    sign_in_as('lead')
    unit = Server::Models::Unit.first(number: 'A-02')
    fitted = Server::Models::UnitSheet.current.where(unit_id: unit.id).eager(version: :sheet).all.find { |one| one.version.sheet.key == 'engine_stop' }
    visit "/circuits/#{fitted.id}"
    select 'Stops', from: 'Ask the sheet'
    expect(page).to have_css('p', text: 'Borrowed feed: F7 Side lamps (and fuel solenoid) feeds Side lamps too.')
    click_button 'Tried: Stop button at the rear pressed'
    fill_in 'Seconds until it stood, if counted', with: '2,5'
    click_button 'Seen to stop'
    expect(page).to have_css('li', text: /Stop button at the rear pressed\s+stopped in 2.5 s, /)
    fill_in 'What guards against these faults', with: 'Hand lever on the pump, proved weekly'
    click_button 'Answer it'
    expect(page).to have_css('p', text: /Hand lever on the pump, proved weekly .*of these faults, on every unit with this sheet/)
    expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= page.evaluate_script('window.innerWidth')
    expect(Server::Models::StopProof.where(unit_id: unit.id).get(:seconds)).to eq(2.5)
  end

  def shades = page.all('[data-wire]').map { |one| one['data-shade'] }.uniq.sort

  # On the phone a stop that was seen and a lead's answer follow: they write.
  { 'a laptop' => { long: true }, 'a phone' => { phone: true, only_looks: false } }.each do |screen, how|
    it "lights the net of a tapped wire, greys out what falls dead, shows what wires are at and what stays live, on #{screen}", **how do
      open_drawing('fuel_pump')
      page.refresh
      read_on_its_own_terms
      over_the_whole_width unless how[:phone]
      click_button 'Whole'
      find('[data-wire="7"] path', match: :first, visible: :all).click
      expect(page).to have_css('h2', text: 'Wire 7')
      expect(drawn('getComputedStyle(drawing).touchAction')).to eq('none')
      expect(page).to have_css('[data-wire="7"][data-shade=lit]')
      expect(shades).to eq(%w[dim lit])
      find('h1').click
      click_button 'Whole'
      find('[data-part=K11] rect, [data-part=K11] path', match: :first).click
      click_button 'Open this: what falls dead with it?'
      expect(page).to have_css('[data-part=K11][data-mark=open]').and have_css('[data-part=M2][data-mark=dead]')
      open_drawing('ecu_power', '?show=stands')
      expect(page).to have_css('[data-wire="13"][data-stands=live]')
      choose_state('Isolator open')
      expect(page).to have_css('[data-wire="13"][data-stands=open], [data-wire="13"][data-stands=ground]')
      expect(page).to have_css('[data-wire="1"][data-stands=live]')
      how[:phone] ? select('What stays live', from: 'Ask the sheet') : click_button('What stays live')
      expect(page).to have_css('[data-part=S1][data-mark=open]').and have_css('[data-part=BAT][data-mark=live]')
      answer_a_stop if how[:phone]
    end
  end

  it 'travels by keys to other end, supply and ground, asks for the pin, leads to other sheets; shows a job, measures there, marks disputes' do
    open_drawing('start_24v', '?pin=K1:86')
    drawn = find('svg[role=application]')
    { arrow_up: 'X1:a/2', enter: 'K1:86', arrow_down: 'K1:85' }.each do |key, pin|
      drawn.send_keys(key)
      expect(page).to have_css('[aria-live=polite]', text: pin)
    end
    drawn.send_keys(:space)
    expect(page).to have_css('h2', text: 'K1:85').and have_css('[data-shade=feed]').and have_css('[data-shade=back]')
    open_drawing('ecu_power')
    find('[data-part="link 0"]').click
    expect(page).to have_css('h1', text: 'Fuel pump relay with its own ground').and have_css('h2', text: 'S2:15')
    job = Server::Models::Job.where(unit_id: Server::Models::Unit.first(number: 'B-14').id, state: 'open').first
    visit "/jobs/#{job.id}"
    click_link 'On the drawing'
    expect(page).to have_select('Sheet', selected: 'Start, 12 V parallel pair, what it is about')
    click_button 'Ground drop, starter case to negative post'
    expect(page).to have_css('h2', text: 'M1:case').and have_css('section[aria-label="At M1:case"] li', text: '10.50 V')
    expect(page).to have_css('[data-notes=M1] text', text: 'case 10.56 V, act')
    click_link 'Measure from here'
    expect(page).to have_field('Red lead on', with: 'M1:case')
    unit = Server::Models::Unit.first(number: 'T-03')
    fitted = Server::Models::UnitSheet.current.where(unit_id: unit.id, version_id: Server::Models::SheetVersion.newest_of('fuel_pump').id).first
    visit "/circuits/#{fitted.id}?ask=conflicts"
    expect(page).to have_css('[data-part=S2][data-mark=marked]')
  end

  # By the boxes that the browser measures, in the face that it draws with.
  over = <<~JS
    const texts = [...document.querySelectorAll('svg[role=application] text')].map((one) => [one.textContent, one.getBoundingClientRect(), one.parentNode])
    const scale = document.querySelector('svg[role=application] > g').getCTM().a
    const over = ([, a, g], [, b, h]) => g !== h && Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1.5 * scale && Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 4 * scale
    return texts.flatMap((one, index) => texts.slice(index + 1).filter((other) => over(one, other)).map((other) => one[0] + ' on ' + other[0]))
  JS
  it 'lets no words lie on words, on a laptop and on a phone, on any sheet that ships', :seeds do
    found = Extent.sample(Wattomneum::Circuits::Library.keys, one_in: 5).product([[1280, 800], [390, 844]]).to_h do |key, (width, height)|
      page.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: width, height: height, deviceScaleFactor: 1, mobile: width < 500)
      open_drawing(key) if width > 500
      page.evaluate_async_script('document.fonts.ready.then(arguments[0])')
      expect(page.evaluate_script('document.documentElement.scrollWidth')).to be <= page.evaluate_script('window.innerWidth')
      [[key, width], page.execute_script(over)]
    end
    expect(found.reject { |_, words| words.empty? }).to be_empty
  ensure
    page.driver.browser.execute_cdp('Emulation.clearDeviceMetricsOverride')
  end
end
