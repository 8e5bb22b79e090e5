# frozen_string_literal: true

require 'concurrent/delay'
require 'json'
require 'open3'
require 'tmpdir'

# Modules of the front end as they stand, bundled as its own builder does it.
module FrontEndModules
  WEB = File.join(Server::ROOT, 'web').freeze

  # @param exports [Hash{String => String}] path under web/src, without its ending, to what is taken of it: "{ name }", or "* as name"
  # @param format [Array<String>] of the bundle, as the builder's options say it
  # @return [String] the bundle
  def self.bundled(exports, *format)
    Dir.mktmpdir do |folder|
      entry, made = %w[entry.ts made.js].map { |name| File.join(folder, name) }
      File.write(entry, exports.map { |path, taken| "export #{taken} from '#{WEB}/src/#{path}'" }.join("\n"))
      said, status = Open3.capture2e(File.join(WEB, 'node_modules/.bin/rolldown'), entry, *format, '--file', made, chdir: WEB)
      raise said unless status.success?

      File.read(made)
    end
  end

  # Rules that want no page: run as they are, by what runs the builder.
  module Rules
    EXPORTS = {
      'features/circuits/answers/said' => '{ keyOf, parted, listed, anythingBad }', 'features/circuits/drawn/marked' => '* as marked',
      'features/circuits/spoken' => '{ spokenVolt, spokenAmpere, spokenItem }', 'features/circuits/tables/lookUp' => '{ lookUp }',
      'features/job-bench/path' => '* as path', 'features/jobs/intake' => '* as intake', 'features/units/unitFields' => '* as unitFields',
      'shared/api/askOnce' => '{ askOnce }', 'shared/board/facts' => '* as board', 'shared/ui/choices' => '* as choices',
      'shared/battery/outlook' => '{ outlookWords }',
      'shared/drafts/textOf' => '{ textOf }', 'shared/drawing/travel' => '{ Travel }', 'shared/loop/layout' => '{ layOut }',
      'shared/pad/answered' => '{ answered }', 'shared/pad/pad' => '* as pad', 'shared/quantities/glued' => '{ glued }',
      'shared/quantities/minutesFrom' => '{ minutesFrom }', 'shared/quantities/numberFrom' => '{ numberFrom }',
      'shared/quantities/when' => '* as when', 'shared/quantities/written' => '{ written, writtenOut }', 'shared/writes/fate' => '{ fateOf }'
    }.freeze
    # Answers a line with a line as long as it is asked.
    ANSWERING = <<~JAVASCRIPT
      require('node:readline').createInterface({ input: process.stdin }).on('line', async (line) => {
        const { script, given } = JSON.parse(line)
        const rule = new (async () => {}).constructor('web', 'given', script)
        const said = await rule(web, given).then((value) => ({ value: value ?? null }), (error) => ({ error: error.stack }))
        console.log(JSON.stringify(said))
      })
    JAVASCRIPT
    RUNNING = Concurrent::Delay.new do
      made = FrontEndModules.bundled(EXPORTS, '--format', 'iife', '--name', 'web')
      IO.popen(['node', '-e', "#{made}\n#{ANSWERING}"], 'r+')
    end
    private_constant :EXPORTS, :ANSWERING, :RUNNING

    # @param script [String] body of a function, in which `web` has the rules and `given` what else was given
    # @return what it returns, with nil for undefined
    def ruled(script, *given)
      running = RUNNING.value!
      running.puts(JSON.generate(script: script, given: given))
      said = JSON.parse(running.gets, symbolize_names: true)
      raise said[:error] if said[:error]

      said[:value]
    end
  end
end
