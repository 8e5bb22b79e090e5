# frozen_string_literal: true

require_relative 'front_end_modules'

# The part of the front end that keeps what is typed, by itself: its modules as they stand, in a page of the application's address that shows
# nothing else, with a server that answers as an example says. One more tab is one more page with modules of its own.
module DeviceStore
  EXPORTS = {
    'shared/api/http' => '{ HttpError }', 'shared/unsent/disk' => '* as disk', 'shared/unsent/journal' => '* as journal',
    'shared/unsent/older' => '{ broughtAlong }', 'shared/unsent/queue' => '* as queue', 'shared/unsent/store' => '* as store',
    'shared/unsent/tabs' => '{ ownTab, whileSending }', 'shared/unsent/unsent' => '{ fresh }', 'shared/writes/fate' => '{ fateOf }'
  }.freeze

  # What examples say often: a record of person 7, what the server answers, what lies on the device.
  WORDS = <<~JAVASCRIPT
    Object.assign(window, device, {
      wish: (about) => ({ method: 'POST', path: '/api/notes', about, body: { about } }),
      typed: (value, rest = {}) => ({ ...device.fresh({ person: 7, name: 'note:1', tab: device.store.thisTab(), page: '/jobs/1', value: { text: value } }), ...rest }),
      waits: (value, rest = {}) => window.typed(value, { state: 'waiting', wish: window.wish(value), ...rest }),
      refusal: (code) => ({ code, message: `Refused: ${code}`, fields: {} }),
      sent: [],
      answers: (reply) => {
        window.fetch = async (address, { body, headers } = {}) => {
          const asked = address instanceof Request ? { path: new URL(address.url).pathname } : { path: address, body: JSON.parse(body), id: headers['request-id'] }
          window.sent.push(asked)
          const said = await reply(asked, window.sent.length)
          if (said === 'silent') throw new TypeError('Failed to fetch')
          return new Response(JSON.stringify(said.body), { status: said.status, headers: { 'content-type': 'application/json' } })
        }
      },
      yes: { status: 201, body: {} },
      no: (status, code) => ({ status, body: { error: window.refusal(code) } }),
      onDevice: async () => (await device.disk.readAll(7)).sort((one, other) => one.at.localeCompare(other.at)).map(({ value, state }) => `${value.text}: ${state}`),
      here: () => device.store.unsent().map(({ value, state }) => `${value.text}: ${state}`),
      until: async (holds) => { while (!(await holds())) await new Promise((resolve) => setTimeout(resolve, 20)) },
    })
  JAVASCRIPT

  MODULES = Concurrent::Delay.new do
    made = FrontEndModules.bundled(EXPORTS, '--format', 'iife', '--name', 'device')
    "#{made.sub(/\Avar device = /, 'window.device = ')}\n#{WORDS}"
  end

  def blank_page
    visit '/health'
    page.execute_script(MODULES.value!)
  end

  # What an asynchronous piece of script says in that page.
  def told(script, *given)
    answer = page.evaluate_async_script(<<~JAVASCRIPT, *given)
      const done = arguments[arguments.length - 1]
      const given = [...arguments].slice(0, -1);
      (async () => { #{script} })().then((value) => done({ value }), (error) => done({ error: `${error.name}: ${error.message} ${error.stack}` }))
    JAVASCRIPT
    raise answer['error'] if answer['error']

    answer['value']
  end

  # A page of its own with the store open, as the same person.
  def another_tab
    window = open_new_window
    within_window(window) do
      blank_page
      told('await store.openStore(7)')
    end
    window
  end
end
