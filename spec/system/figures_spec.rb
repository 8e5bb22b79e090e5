# frozen_string_literal: true

# What is printed can be read: every sign in every face, labels and figures in their size at every width.
RSpec.describe 'Figures' do
  # Where a face has the sign, it is as wide whatever stands behind that face.
  let(:widths) { <<~JS }
    const [stack, weight, signs] = arguments;
    return document.fonts.ready.then(() => Promise.all([...signs].map((sign) => document.fonts.load(`${weight} 40px ${stack}`, sign)))).then(() => {
      const pen = document.createElement('canvas').getContext('2d');
      const width = (sign, last) => { pen.font = `${weight} 40px ${stack}, ${last}`; return pen.measureText(sign).width; };
      return [...signs].filter((sign) => Math.abs(width(sign, 'monospace') - width(sign, 'serif')) > 0.01);
    });
  JS
  let(:signs) { '0123456789.,−°ΩµμmkMV²%·×Åéøßñł' }

  def expect_faces_that_ship
    [["'Source Sans 3'", [400, 600]], ["'Archivo Narrow', 'Source Sans 3'", [500, 700]]].each do |stack, weights|
      weights.each { |weight| expect([stack, weight, page.evaluate_async_script(async(widths), stack, weight, signs)]).to eq([stack, weight, []]) }
    end
  end

  # A promise's answer, for a driver that waits on a callback.
  def async(script) = "const done = arguments[arguments.length - 1]; (function () { #{script} }).apply(null, arguments).then(done);"

  def sizes(selector) = page.evaluate_script(<<~JS)
    [...document.querySelectorAll('#{selector}')].map((text) => parseFloat(getComputedStyle(text).fontSize) * text.getScreenCTM().a)
  JS

  it 'are drawn by the faces that ship, keep their size in a loop at every width, and have units as people write them', :long, :only_looks do
    sign_in_as('electrician')
    visit '/jobs'
    expect_faces_that_ship
    [[1280, 800], [1000, 800], [800, 900], [390, 844]].each do |width, height|
      Browser.chrome.execute_cdp('Emulation.setDeviceMetricsOverride', width: width, height: height, deviceScaleFactor: 1, mobile: false)
      visit "/units/#{Server::Models::Unit.first(number: 'B-14').id}"
      expect(page).to have_css('figure svg text')
      expect(sizes('figure svg text').min).to be >= 15.9
      expect(sizes('figure svg text tspan.font-semibold').min).to be >= 24
      expect(page.evaluate_script('document.documentElement.scrollWidth <= document.documentElement.clientWidth')).to be(true)
    end
    visit '/house-rules'
    find('summary', text: 'Charging').click
    expect(page).to have_content('25 °C').and have_no_content('degC')
  ensure
    Browser.chrome.execute_cdp('Emulation.clearDeviceMetricsOverride')
  end

  it 'of a page that cannot be asked for again stay, with their age, and single keys do nothing behind a sheet or when turned off', :only_looks do
    sign_in_as('electrician')
    visit "/jobs/#{Server::Models::Job.first(state: 'open').id}"
    expect(page).to have_css('[data-step]').and have_title(/Job \d+, .* Wattomneum/)
    click_button 'Record a repair'
    within('[role=dialog]') { find_button('Close').send_keys('n') }
    find('[role=dialog]').send_keys(:escape)
    expect(page).to have_no_css('form[aria-label^=Reading]').and have_no_css('[role=dialog]')
    click_button 'Keys ?'
    uncheck 'Single keys do something'
    find('[role=dialog]').send_keys(:escape)
    find('body').send_keys('n')
    expect(page).to have_no_css('form[aria-label^=Reading]')
    page.execute_script("localStorage.removeItem('single-keys')")
    Browser.chrome.execute_cdp('Network.enable')
    Browser.network(offline: true)
    page.execute_script("window.dispatchEvent(new Event('visibilitychange'))")
    expect(page).to have_content('As it was at', wait: 40)
    expect(page).to have_css('[data-step]')
  ensure
    Browser.network(offline: false)
  end
end
