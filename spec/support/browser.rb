# frozen_string_literal: true

require_relative 'interference'

# Headless Chromium from Debian's packages, the one without windows: a fifth less work than the whole one. The application runs in the same process
# on a port of its own.
module Browser
  ARGUMENTS = %w[--headless --no-sandbox --disable-dev-shm-usage --disable-gpu --disable-background-networking
                 --no-first-run --disable-sync --force-prefers-reduced-motion].freeze
  # What costs a core its time and shows nothing: a spare process for each page to come, pages kept to go back to, a process that draws for others.
  SPARING = %w[--process-per-site --in-process-gpu --disable-gpu-rasterization --disable-lcd-text --disable-extensions --disable-component-update
               --disable-default-apps --disable-features=SpareRendererForSitePerProcess,BackForwardCache,Translate,OptimizationHints].freeze
  # Answers that the application means to give; Chromium notes each in its log.
  EXPECTED = /the server responded with a status of (401|403|404|409|422|504)|net::ERR_INTERNET_DISCONNECTED/

  Capybara.server = :puma, { Silent: true }
  Capybara.app = Interference.new(Server::App.build)
  Capybara.server_host = '127.0.0.1'
  Capybara.default_max_wait_time = 20
  # Looked at twelve times a second: looking keeps the browser and the server from what is waited for.
  Capybara.default_retry_interval = 0.08
  Capybara.enable_aria_label = true

  def self.options
    Selenium::WebDriver::Options.chrome(binary: '/usr/bin/chromium-headless-shell', logging_prefs: { browser: 'ALL' }).tap do |options|
      [*ARGUMENTS, *SPARING].each { |argument| options.add_argument(argument) }
    end
  end

  def self.driver(app, options)
    Capybara::Selenium::Driver.new(app, browser: :chrome, options: options,
                                        service: Selenium::WebDriver::Service.chrome(path: '/usr/bin/chromedriver'))
  end

  Capybara.register_driver(:laptop) do |app|
    driver(app, options.tap { |one| one.add_argument('--window-size=1280,943') })
  end
  Capybara.register_driver(:phone) do |app|
    driver(app, options.tap { |one| one.add_emulation(device_metrics: { width: 390, height: 844, pixelRatio: 1, touch: true }) })
  end

  def self.use(name) = Capybara.current_driver = name
  def self.chrome = Capybara.current_session.driver.browser

  # @param account [Server::Models::Account] who is signed in from now on
  def self.hold_session(account)
    from = { device: 'Mozilla/5.0 (X11; Linux x86_64) Chrome/156', client_address: '127.0.0.1' }
    token = Server::Models::Session.begin_for(account, from: from, now: Time.now.utc)
    chrome.execute_cdp('Network.setCookie', name: Server::SessionCookie::NAME, value: token, httpOnly: true, sameSite: 'Strict',
                                            url: Capybara.current_session.server.base_url)
  end

  # What is to be read in an element, as the browser itself says it: the driver works that out node by node, a second for a long page.
  module ReadByBrowser
    SCRIPT = <<~JAVASCRIPT
      const [node] = arguments
      if (!node.checkVisibility()) return ''
      const text = node.innerText ?? node.textContent
      return text.replace(/\\u00a0|\\t/g, ' ').replace(/ *\\n\\s*/g, '\\n').trim()
    JAVASCRIPT

    def visible_text = driver.browser.execute_script(SCRIPT, native)
  end
  Capybara::Selenium::ChromeNode.prepend(ReadByBrowser)

  # @return [Array<String>] what the page's log holds beyond expected refusals
  def self.complaints
    chrome.logs.get(:browser).select { |entry| entry.level == 'SEVERE' }.map(&:message).grep_v(EXPECTED)
  end

  # @return [String] the page as it stands, for whoever reads of a failure
  def self.shown = "#{chrome.current_url} showed: #{chrome.find_element(tag_name: 'body').text[0, 600]}"

  # The network and what is kept on the device outlive a session reset: both are cleared by hand.
  def self.forget
    chrome.execute_cdp('Network.enable')
    network(offline: false)
    chrome.execute_cdp('Storage.clearDataForOrigin', origin: Capybara.current_session.server.base_url, storageTypes: 'all')
    Capybara.current_session.reset!
  end

  def self.network(offline:)
    chrome.execute_cdp('Network.emulateNetworkConditions', offline: offline, latency: 0, downloadThroughput: -1, uploadThroughput: -1)
  end
end
