# frozen_string_literal: true

# Frames in Chromium at fourfold CPU slow-down while the largest sheet is dragged and its wires are traced, beside a bare SVG of as many elements
# that is moved and lit by hand; and how soon a stored drawing is shown without the slow-down.
require 'selenium-webdriver'
require_relative 'client'

LARGEST = 'ecu_power'
SLOWER = 4
FRAME_MOST_MS = 33.0
OF_BARE_MOST = 1.5
SHOWN_MOST_S = 1.0
DRAGS = 3
STEPS = 50
TRACED = 12
TRACE_S = 0.5

# Dragged and traced in a page; what lies between two frames is noted there.
class Page
  RECORD = <<~JS
    window.deltas = []
    let before = performance.now()
    window.recording = true
    const note = (now) => { window.deltas.push(now - before); before = now; if (window.recording) requestAnimationFrame(note) }
    requestAnimationFrame((now) => { before = now; requestAnimationFrame(note) })
  JS

  def initialize(browser) = @browser = browser

  def slow_down(rate) = @browser.execute_cdp('Emulation.setCPUThrottlingRate', rate: rate)

  # @return [Array<Float>] milliseconds between frames
  def frames
    @browser.execute_script(RECORD)
    yield
    @browser.execute_script('window.recording = false; return window.deltas')
  end

  def drag
    DRAGS.times do |turn|
      x = 400
      y = 500
      mouse('mousePressed', x, y)
      STEPS.times do |step|
        mouse('mouseMoved', x + (turn.even? ? step : -step), y + ((turn.even? ? -4 : 4) * step))
        sleep 0.012
      end
      mouse('mouseReleased', x, y)
    end
  end

  # Where wires lie on the screen.
  def wires(css)
    @browser.execute_script(<<~JS, css)
      const frame = document.querySelector('svg').getBoundingClientRect()
      return [...document.querySelectorAll(arguments[0])].map((path) => {
        const at = path.getPointAtLength(path.getTotalLength() / 2)
        const on = new DOMPoint(at.x, at.y).matrixTransform(path.getScreenCTM())
        return [on.x, on.y]
      }).filter(([x, y]) => x > frame.left + 20 && x < Math.min(frame.right, 760) && y > frame.top + 20 && y < Math.min(frame.bottom, 700))
    JS
  end

  def trace(css)
    wires(css).each_slice([wires(css).size / TRACED, 1].max).map(&:first).first(TRACED).each do |x, y|
      mouse('mousePressed', x, y)
      mouse('mouseReleased', x, y)
      sleep TRACE_S
    end
  end

  private

  def mouse(type, x, y)
    @browser.execute_cdp('Input.dispatchMouseEvent', type: type, x: x, y: y, button: 'left', buttons: type == 'mouseReleased' ? 0 : 1, clickCount: 1)
  end
end

# A drag sets one transform, a tap lights one path.
BARE_SCRIPT = <<~JS
  const group = document.querySelector('g')
  let from = null, x = 0, y = 0, lit = null
  addEventListener('mousedown', (event) => {
    from = [event.clientX - x, event.clientY - y]
    lit?.setAttribute('stroke', '#822')
    lit = event.target.matches('.w') ? event.target : null
    lit?.setAttribute('stroke', '#f80')
  })
  addEventListener('mousemove', (event) => {
    if (!from) return
    x = event.clientX - from[0]
    y = event.clientY - from[1]
    group.setAttribute('transform', `translate(${x} ${y})`)
  })
  addEventListener('mouseup', () => { from = null })
JS

# An SVG by itself, with as many elements of each kind.
def bare(counts)
  shapes = { 'path' => ->(x, y) { %(<path class="w" d="M#{x} #{y}v40h14v12" fill="none" stroke="#822" stroke-width="4"/>) },
             'text' => ->(x, y) { %(<text x="#{x}" y="#{y + 20}" font-size="12">K1</text>) },
             'rect' => ->(x, y) { %(<rect x="#{x}" y="#{y}" width="20" height="30" fill="none" stroke="#222"/>) } }
  drawn = counts.flat_map { |name, count| Array.new(count) { |at| shapes.fetch(name).call(10 + ((at % 40) * 24), 10 + ((at / 40) * 60)) } }
  %(<!doctype html><body style="margin:0"><svg width="1280" height="780"><g>#{drawn.join}</g></svg><script>#{BARE_SCRIPT}</script>)
end

def spread(deltas)
  sorted = deltas.sort
  { share: deltas.count do |ms|
    ms < FRAME_MOST_MS
  end / deltas.size.to_f, p95: sorted[(sorted.size * 0.95).floor], most: sorted.last, count: deltas.size }
end

def told(what, spread)
  format('%<what>-22s %<share>5.1f %% under 33 ms, 95 %% within %<p95>.1f ms, the longest %<most>.1f ms (%<count>d frames)',
         what: what, share: spread[:share] * 100, **spread.except(:share))
end

wait_for_server
version = Server::Models::SheetVersion.newest_of(LARGEST)
layouter = Server::Layouter.new
Server::Models::SheetDrawing.order(version.content, version.digest)
Server::Workers::DrawSheets.all(layouter)
layouter.stop

options = Selenium::WebDriver::Options.chrome(binary: '/usr/bin/chromium')
%w[--headless=new --no-sandbox --disable-gpu --disable-dev-shm-usage --force-prefers-reduced-motion --window-size=1280,943].each do |one|
  options.add_argument(one)
end
browser = Selenium::WebDriver.for(:chrome, options: options, service: Selenium::WebDriver::Service.chrome(path: '/usr/bin/chromedriver'))
wait = Selenium::WebDriver::Wait.new(timeout: 30)
begin
  base = "http://127.0.0.1:#{ENV.fetch('PORT')}"
  browser.get(base)
  wait.until { browser.find_element(css: 'input[type=password]') }
  browser.find_element(css: 'input[type=email], input[name=login], input').send_keys('electrician@skarrow.example')
  browser.find_element(css: 'input[type=password]').send_keys(Demo::PASSWORD, :enter)
  wait.until { browser.find_elements(css: 'nav').any? }

  # From the address to wires on the screen; the second time, as a place that was there before.
  shown = Array.new(3) do
    browser.get("#{base}/circuits/#{version.id}")
    browser.execute_async_script(<<~JS)
      const done = arguments[0]
      const look = () => (document.querySelector('[data-wire]') ? requestAnimationFrame((now) => done(now / 1000)) : requestAnimationFrame(look))
      look()
    JS
  end.last
  counts = browser.execute_script(<<~JS)
    const svg = document.querySelector('svg[role=application]')
    return Object.fromEntries(['path', 'text', 'rect'].map((name) => [name, svg.querySelectorAll(name).length]))
  JS

  page = Page.new(browser)
  page.slow_down(SLOWER)
  ours = { 'dragging' => spread(page.frames { page.drag }), 'tracing' => spread(page.frames { page.trace('[data-wire] path:first-child') }) }
  page.slow_down(1)
  browser.get("data:text/html;base64,#{[bare(counts)].pack('m0')}")
  page.slow_down(SLOWER)
  floor = { 'dragging' => spread(page.frames { page.drag }), 'tracing' => spread(page.frames { page.trace('.w') }) }
ensure
  browser.quit
end

puts "#{LARGEST}: #{counts.map { |name, count| "#{count} #{name}" }.join(', ')}; CPU #{SLOWER} times slower"
ours.each do |what, spread|
  puts told(what, spread), told("#{what}, bare SVG", floor.fetch(what))
end
puts format('a stored drawing is shown after %<shown>.2f s', shown: shown)
late = ours.reject { |what, spread| spread[:share] >= 0.95 || spread[:p95] <= OF_BARE_MOST * floor.fetch(what)[:p95] }.keys
late << 'a stored drawing' if shown > SHOWN_MOST_S
late.each { |what| puts "TOO SLOW: #{what}" }
exit(late.empty? ? 0 : 1)
