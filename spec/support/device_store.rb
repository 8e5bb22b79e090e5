# frozen_string_literal: true

require 'concurrent/delay'
require 'open3'
require 'tmpdir'

# The part of the front end that keeps what is typed, by itself: its modules as they stand, in a page of the application's address that shows
# nothing else, with a server that answers as an example says. One more tab is one more page with modules of its own.
module DeviceStore
  WEB = File.join(Server::ROOT, 'web').freeze
  ENTRY = <<~TYPESCRIPT.freeze
    export { broughtAlong } from '#{WEB}/src/shared/unsent/older'
    export * as disk from '#{WEB}/src/shared/unsent/disk'
    export * as journal from '#{WEB}/src/shared/unsent/journal'
    export * as queue from '#{WEB}/src/shared/unsent/queue'
    export * as store from '#{WEB}/src/shared/unsent/store'
    export { fresh } from '#{WEB}/src/shared/unsent/unsent'
    export { ownTab, whileSending } from '#{WEB}/src/shared/unsent/tabs'
    export { HttpError } from '#{WEB}/src/shared/api/http'
    export { fateOf } from '#{WEB}/src/shared/writes/fate'
  TYPESCRIPT

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

  # @return [String] the modules bundled as the front end's own builder does it, and the words
  def self.bundled
    Dir.mktmpdir do |folder|
      entry, made = %w[entry.ts device.js].map { |name| File.join(folder, name) }
      File.write(entry, ENTRY)
      said, status = Open3.capture2e(File.join(WEB, 'node_modules/.bin/rolldown'), entry, '--format', 'iife', '--name', 'device', '--file', made,
                                     chdir: WEB)
      raise said unless status.success?

      "#{File.read(made).sub(/\Avar device = /, 'window.device = ')}\n#{WORDS}"
    end
  end

  MODULES = Concurrent::Delay.new { bundled }

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
